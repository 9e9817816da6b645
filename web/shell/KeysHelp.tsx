import { t } from '@lingui/core/macro';
import { LINK_IDS, LINK_LABELS } from '#core/record';
import { translate } from '../language/translate';
import { Panel } from '../parts/base/Panel';
import { ACTION_IDS, ACTIONS, WHERE } from '../state/actions';
import { BENCH_LETTERS, keyWords, PLACES } from '../state/places';

const BENCHES = [
  ...LINK_IDS.map((id) => [id, LINK_LABELS[id]] as const),
  ['outcomes', t`Outcomes`],
  ['log', t`Log`],
] as const;

/** The keys of the table of actions where they work, and those that go somewhere. */
const SECTIONS: { heading: string; lines: { written: string; words: string }[] }[] = [
  ...Object.entries(WHERE).map(([where, heading]) => ({
    heading,
    lines: ACTION_IDS.map((id) => ACTIONS[id]).filter((action) => action.where === where),
  })),
  {
    heading: t`To go somewhere`,
    lines: [
      ...BENCHES.map(([bench, label]) => ({
        written: keyWords(BENCH_LETTERS[bench]),
        words: t`A person: ${translate(label)}`,
      })),
      ...PLACES.flatMap(({ label, letter }) =>
        letter === undefined ? [] : [{ written: keyWords(letter), words: label }],
      ),
    ],
  },
];

export function KeysHelp({ open, onOpenChange }: { open: boolean; onOpenChange: (open: boolean) => void }) {
  return (
    <Panel open={open} onOpenChange={onOpenChange} title={t`Keys`} width="w-[960px]">
      <div className="gap-x-8 md:columns-2">
        {SECTIONS.map(({ heading, lines }) => (
          <section key={heading} className="mb-4 break-inside-avoid">
            <h3 className="mb-1 border-b border-rule font-semibold">{heading}</h3>
            <dl className="grid grid-cols-[6rem_1fr] gap-y-1">
              {lines.map(({ written, words }) => (
                <div key={`${written} ${words}`} className="contents">
                  <dt className="figures">{written}</dt>
                  <dd>{words}</dd>
                </div>
              ))}
            </dl>
          </section>
        ))}
      </div>
    </Panel>
  );
}
