import { CONSENT_TEXTS } from '#core/screening/consent-texts';
import { told } from '../language/told';

/** What is read with a person before they agree, as that version has it (rule SCR-6). */
export function ConsentWords({ version }: { version: number }) {
  return CONSENT_TEXTS[version]?.sections.map(({ heading, lines }) => (
    <section key={heading} className="break-inside-avoid">
      <h2 className="font-semibold">{told(heading)}</h2>
      {lines.map((line) => (
        <p key={line}>{told(line)}</p>
      ))}
    </section>
  ));
}
