import type { Finding } from '#core/findings/finding';
import { KeyHint } from './Button';
import { Why } from './Why';

const WORDS: Record<Finding['level'], string> = {
  hard: 'Not allowed',
  guard: 'Needs a reason',
  note: 'Note',
};

/** Applies the remedy of a finding, and the key that does so. */
export type Mend = { apply: () => void; key: string };

/** One finding beside what caused it: what, how to mend it, the rule behind it, and the remedy as one key. */
export function FindingLine({ finding, mend }: { finding: Finding; mend?: Mend | undefined }) {
  const tone = finding.level === 'note' ? 'text-ink' : 'text-ochre';
  return (
    <div className={`notched py-1 text-[15px] ${tone}`} role={finding.level === 'note' ? undefined : 'alert'}>
      <strong>{WORDS[finding.level]}.</strong> {finding.message}{' '}
      {mend ? (
        <button
          type="button"
          onClick={mend.apply}
          className="inline-flex min-h-8 items-center gap-2 font-semibold underline underline-offset-4"
        >
          {finding.remedy.replace(/\.$/, '')}
          <KeyHint>{mend.key}</KeyHint>
        </button>
      ) : (
        finding.remedy
      )}{' '}
      <Why rule={finding.rule} />
    </div>
  );
}

/** The findings that belong to one of some fields. @param mendOf the remedy of a finding, where it has one */
export function FindingsFor({
  subjects,
  findings,
  mendOf,
}: {
  subjects: readonly string[];
  findings: readonly Finding[];
  mendOf?: (finding: Finding) => Mend | undefined;
}) {
  return findings
    .filter((finding) => subjects.includes(finding.subject))
    .map((finding) => (
      <FindingLine key={`${finding.rule} ${finding.message}`} finding={finding} mend={mendOf?.(finding)} />
    ));
}
