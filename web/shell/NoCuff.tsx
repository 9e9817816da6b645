import { t } from '@lingui/core/macro';
import { lockState } from '../data/practitioner';

/**
 * The cuff dock while no cuff is up; a signed-out device does not hear of those of others.
 * @param roomPx left for the dock that may come, in px
 */
export const NoCuff = ({ roomPx = 0 }: { roomPx?: number }) => (
  <section
    aria-label={t`Cuff dock`}
    className="border-t border-ink/40 bg-paper px-4 print:hidden"
    style={{ minHeight: roomPx }}
  >
    <p className="py-1 text-[14px] text-quiet">
      {lockState.use() === 'unlocked'
        ? t`No cuff is inflated.`
        : t`No cuff is up here. Those of other devices are not shown.`}
    </p>
  </section>
);
