import { t } from '@lingui/core/macro';
import { useEffect, useState } from 'react';
import { Button } from '../parts/base/Button';
import { useWidth } from '../parts/base/use-width';
import { useAction } from '../parts/keys/use-action';
import { tour } from '../state/tour';

/** What is shown, one after the other: a part of the frame by how it is found, and what it is for. */
const STEPS: { at: string; title: string; words: string }[] = [
  {
    at: '[data-tour=people]',
    title: t`People`,
    words: t`Every person is listed with six pips, a link of the work each: Screen, Fit, Measure, Load, Prescribe, Run. A full one holds; half of one is due; an empty one was never done; a notched one must not go on.`,
  },
  {
    at: 'a[href="/people/new"]',
    title: t`Add a person`,
    words: t`A name is enough. Their sheet is the six links from left to right: begin with the first that is open.`,
  },
  {
    at: 'a[href="/kit"]',
    title: t`Kit and practice`,
    words: t`Your cuffs, pumps and weights. Every pressure and load is rounded to this kit.`,
  },
  {
    at: '[data-tour=dock]',
    title: t`The cuff dock`,
    words: t`Every cuff that is up, in every view: how long, how long is left, and the key that lets it down.`,
  },
  {
    at: 'header button:last-of-type',
    title: t`Find`,
    words: t`Ctrl K finds people and everything else by everyday words. Space is always the next thing; ? shows all keys.`,
  },
  {
    at: 'a[href="/practise"]',
    title: t`Practise first`,
    words: t`A simulated limb to measure, as often as you like. F1 opens the guide at the page of what you are doing.`,
  },
];

/** Six steps round the frame, which can be left at any time; nothing beneath it waits for it. */
export function Tour() {
  const [at, setAt] = useState(0);
  const step = STEPS[at];
  const { ref, width } = useWidth<HTMLDivElement>(0);
  const [box, setBox] = useState<DOMRect | null>(null);
  const leave = () => tour.set('seen');
  useAction('leave', leave);
  // Where it is depends on how wide the window is.
  // biome-ignore lint/correctness/useExhaustiveDependencies: the width is what is listened to
  useEffect(() => {
    const part = step && document.querySelector(step.at)?.getBoundingClientRect();
    setBox(part && part.width > 0 ? part : null);
  }, [step, width]);
  if (!step) return null;
  const isLast = at === STEPS.length - 1;
  return (
    <div ref={ref} className="pointer-events-none fixed inset-0 z-30 print:hidden">
      {box && (
        <div
          className="absolute rounded-sm outline-4 outline-offset-2 outline-plum"
          style={{ left: box.left, top: box.top, width: box.width, height: box.height }}
        />
      )}
      <section
        aria-label={t`Tour`}
        className="pointer-events-auto absolute right-4 bottom-20 w-96 max-w-[92vw] space-y-3 rounded-sm border border-ink bg-paper p-4"
      >
        <p className="text-[14px] text-quiet">{t`${at + 1} of ${STEPS.length}`}</p>
        <h2 className="text-xl font-semibold">{step.title}</h2>
        <p>{step.words}</p>
        <div className="flex flex-wrap gap-2">
          {at > 0 && <Button onClick={() => setAt(at - 1)}>{t`Back`}</Button>}
          <Button kind="main" onClick={() => (isLast ? leave() : setAt(at + 1))}>
            {isLast ? t`Begin` : t`Next`}
          </Button>
          {!isLast && <Button onClick={leave}>{t`Leave the tour`}</Button>}
        </div>
      </section>
    </div>
  );
}
