import { Dialog } from 'radix-ui';
import { BENCH_LETTERS, keyWords, PLACES } from '../state/places';

const KEYS: [string, string][] = [
  ['Space', 'The next expected thing: start set, end set, pulse gone, pulse back'],
  ['Enter', 'Accept'],
  ['− / +', 'Correct repetitions, or pressure while measuring'],
  ['0 … 9', 'Effort after a set'],
  ['Shift 0 … 9', 'Joint pain after a set'],
  ['H', 'It became hard, in a set'],
  ['B', 'Take back the end of a set, within 10 s'],
  ['K', 'The repetitions were watched: right as counted'],
  ['L', 'Loosen by 10 mmHg, or what is worn by feel by one step'],
  ['P', 'Take a loosening back; one step tighter by feel, before a set'],
  ['T', 'Top up to the target before a set'],
  ['M', 'It pinches: re-fit the cuff'],
  ['O', 'Run the session from this device'],
  ['R', 'Release'],
  ['C', 'Colour and feeling good after a set'],
  ['U', 'Undo the last correction or note'],
  ['Y / N', 'Take or leave the change the bench offers'],
  ['F', 'Full screen'],
  ['.', 'A sign noted: then 1 to 0 for one that stops, A to G for one that is expected'],
  ['Ctrl Enter', 'Sign the plan that is composed'],
  ['D', 'Draft a plan anew'],
  ['A', 'Accept the reviews; they agree to the training'],
  ['Esc twice', 'Stop now'],
  ['1 … 9', 'On the floor: take a lane in hand; Space, L, R and Esc twice then work for it, Enter opens it'],
  ['C', 'On the floor: start all that are ready together'],
  ['N / Y', 'No or yes to a screening question; Shift N: all the rest no'],
  ['W', 'All well, on the day'],
  ['G Q', 'Lock this device, or hand it on'],
  ['G D', 'Paper or dark floor theme'],
  ['Ctrl K', 'Find people and actions'],
  ['F1', 'The guide, at the page of what is open'],
  ['?', 'These keys'],
  ...Object.entries(BENCH_LETTERS).map(([bench, letter]): [string, string] => [
    keyWords(letter),
    `A person: ${bench}`,
  ]),
  ...PLACES.flatMap(({ label, letter }): [string, string][] =>
    letter === undefined ? [] : [[keyWords(letter), label]],
  ),
];

export function KeysHelp({ open, onOpenChange }: { open: boolean; onOpenChange: (open: boolean) => void }) {
  return (
    <Dialog.Root open={open} onOpenChange={onOpenChange}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-ink/40" />
        <Dialog.Content
          aria-describedby={undefined}
          className="fixed top-[4dvh] left-1/2 z-50 max-h-[92dvh] w-[560px] max-w-[92vw] -translate-x-1/2 overflow-y-auto rounded-sm border border-ink bg-paper p-5"
        >
          <Dialog.Title className="mb-3 text-xl font-semibold">Keys</Dialog.Title>
          <dl className="grid grid-cols-[auto_1fr] gap-x-5 gap-y-1.5">
            {KEYS.map(([key, words]) => (
              <div key={key} className="contents">
                <dt className="figures">{key}</dt>
                <dd>{words}</dd>
              </div>
            ))}
          </dl>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
