import { CONSENT_TEXTS } from '#core/screening';
import { translate } from '../../language/translate';

/** What is read with a person before they agree, as that version has it (rule SCR-6). */
export function ConsentWords({ version }: { version: number }) {
  return CONSENT_TEXTS[version]?.sections.map(({ heading, lines }) => (
    <section key={translate(heading)} className="break-inside-avoid">
      <h2 className="font-semibold">{translate(heading)}</h2>
      {lines.map((line) => (
        <p key={translate(line)}>{translate(line)}</p>
      ))}
    </section>
  ));
}
