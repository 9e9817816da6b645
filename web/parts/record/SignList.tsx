import { t } from '@lingui/core/macro';
import { SIGNS, type SignId, signIdSchema } from '#core/session';
import { translate } from '../../language/translate';
import { Panel } from '../base/Panel';

const isStop = (sign: SignId): boolean => SIGNS[sign].level !== 'expected';
const STOPS = signIdSchema.options.filter(isStop);
const EXPECTED = signIdSchema.options.filter((sign) => !isStop(sign));

/** One key after the full stop, so that one free hand notes a sign: figures for those that stop, as far as they go. */
const keyOf = (sign: SignId): string =>
  isStop(sign) ? '1234567890vw'.charAt(STOPS.indexOf(sign)) : 'abcdefghij'.charAt(EXPECTED.indexOf(sign));

/** Signs to note: expected ones are kept, stop ones stop the session at once (rule RUN-3). */
export function SignList({
  open,
  onOpenChange,
  about,
  note,
}: {
  open: boolean;
  onOpenChange: (open: boolean) => void;
  /** Who it is of, where several are on the page. */
  about?: string | undefined;
  note: (sign: SignId) => void;
}) {
  const pick = (sign: SignId) => {
    onOpenChange(false);
    note(sign);
  };
  return (
    <Panel
      open={open}
      onOpenChange={onOpenChange}
      title={about === undefined ? t`Which symptom?` : t`${about}: which symptom?`}
      width="w-[720px]"
      onKeyDown={(event) => {
        const sign = signIdSchema.options.find((id) => keyOf(id) === event.key.toLowerCase());
        if (!sign || event.ctrlKey || event.metaKey || event.altKey) return;
        // The same figure is an effort for the page beneath.
        event.stopPropagation();
        pick(sign);
      }}
    >
      <div className="grid gap-5 md:grid-cols-2">
        <Group title={t`Expected: noted`} signs={EXPECTED} pick={pick} />
        {/* On a phone, what cannot wait comes first. */}
        <div className="max-md:order-first">
          <Group title={t`Stop: deflate at once`} signs={STOPS} pick={pick} stop />
        </div>
      </div>
    </Panel>
  );
}

function Group({
  title,
  signs,
  pick,
  stop = false,
}: {
  title: string;
  signs: readonly SignId[];
  pick: (sign: SignId) => void;
  stop?: boolean;
}) {
  return (
    <div>
      <h3 className={`font-semibold ${stop ? 'text-vermilion' : ''}`}>{title}</h3>
      <ul className="mt-1 border-t border-rule">
        {signs.map((sign) => (
          <li key={sign} className="border-b border-rule">
            <button
              type="button"
              className="flex min-h-11 w-full items-center gap-3 px-2 text-left hover:bg-tint"
              onClick={() => pick(sign)}
            >
              <span
                aria-hidden="true"
                className="figures w-6 rounded-sm border border-ink/40 text-center text-[13px] max-sm:hidden"
              >
                {keyOf(sign).toUpperCase()}
              </span>
              {translate(SIGNS[sign].label)}
              {SIGNS[sign].level === 'red' && (
                <span className="ml-auto text-[13px] text-vermilion">{t`no restart today`}</span>
              )}
            </button>
          </li>
        ))}
      </ul>
    </div>
  );
}
