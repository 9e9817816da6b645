import { t } from '@lingui/core/macro';
import type { Finding } from '#core/findings';
import { translate } from '../../language/translate';
import { KeyHint } from './Button';
import { Why } from './Why';

const WORDS: Record<Finding['level'], string> = {
  hard: t`Not allowed`,
  guard: t`Needs a reason`,
  note: t`Note`,
};

/** Applies the remedy of a finding, and the key that does so. */
export type FindingFix = { apply: () => void; key: string };

/** One finding beside what caused it: what, how to fix it, the rule behind it, and the remedy as one key. */
export function FindingLine({ finding, fix }: { finding: Finding; fix?: FindingFix | undefined }) {
  const tone = finding.level === 'note' ? 'text-ink' : 'text-ochre';
  return (
    <div className={`notched py-1 text-[15px] ${tone}`} role={finding.level === 'note' ? undefined : 'alert'}>
      <strong>{WORDS[finding.level]}.</strong> {translate(finding.message)}{' '}
      {fix ? (
        <button
          type="button"
          onClick={fix.apply}
          className="inline-flex min-h-8 items-center gap-2 font-semibold underline underline-offset-4"
        >
          {translate(finding.remedy).replace(/\.$/, '')}
          <KeyHint>{fix.key}</KeyHint>
        </button>
      ) : (
        translate(finding.remedy)
      )}{' '}
      <Why rule={finding.rule} />
    </div>
  );
}

/** The findings that belong to one of some fields. @param fixOf the remedy of a finding, where it has one */
export function FindingsFor({
  subjects,
  findings,
  fixOf,
}: {
  subjects: readonly string[];
  findings: readonly Finding[];
  fixOf?: (finding: Finding) => FindingFix | undefined;
}) {
  return findings
    .filter((finding) => subjects.includes(finding.subject))
    .map((finding) => (
      <FindingLine
        key={`${finding.rule} ${translate(finding.message)}`}
        finding={finding}
        fix={fixOf?.(finding)}
      />
    ));
}
