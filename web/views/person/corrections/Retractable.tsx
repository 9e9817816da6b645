import { t } from '@lingui/core/macro';
import type { RecordEntry } from '#contract/corrections';
import { dayAndTime } from '../../../words/format';

/** What an entry says; struck through, with who retracted it and why, where it was. */
export function Retractable({
  words,
  retracted,
  className,
}: Pick<RecordEntry, 'retracted'> & { words: string; className: string }) {
  return (
    <span>
      <span className={className}>{retracted ? <s className="text-quiet">{words}</s> : words}</span>
      {retracted && (
        <span className="block text-[14px]">
          {t`Retracted by ${retracted.by}, ${dayAndTime(retracted.atMs)}: ${retracted.reason}`}
        </span>
      )}
    </span>
  );
}
