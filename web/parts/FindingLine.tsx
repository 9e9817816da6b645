import { RULES } from '#core/rules/catalogue';
import type { Finding } from '#core/rules/finding';

const WORDS: Record<Finding['level'], string> = {
  hard: 'Not allowed',
  guard: 'Needs a reason',
  note: 'Note',
};

/** One finding beside what caused it: what, how to mend it, and the rule behind it. */
export function FindingLine({ finding }: { finding: Finding }) {
  const tone = finding.level === 'note' ? 'text-ink' : 'text-ochre';
  return (
    <p className={`notched py-1 text-[15px] ${tone}`} role={finding.level === 'note' ? undefined : 'alert'}>
      <strong>{WORDS[finding.level]}.</strong> {finding.message} {finding.remedy}{' '}
      <abbr className="text-[13px] no-underline" title={RULES[finding.rule].text}>
        {finding.rule}
      </abbr>
    </p>
  );
}

/** The findings that belong to one field. */
export function FindingsFor({ subject, findings }: { subject: string; findings: readonly Finding[] }) {
  return findings
    .filter((finding) => finding.subject === subject)
    .map((finding) => <FindingLine key={finding.message} finding={finding} />);
}
