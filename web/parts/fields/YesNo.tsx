import { t } from '@lingui/core/macro';
import { ToggleGroup } from 'radix-ui';

const NOT_CHOSEN = 'min-h-9 min-w-12 rounded-sm border border-ink/40 px-2 text-[15px]';
/** The answer that counts stands out; the other is marked in ink. */
const COUNTS =
  'data-[state=on]:border-plum data-[state=on]:bg-plum data-[state=on]:font-semibold data-[state=on]:text-on-plum';
const CALM = 'data-[state=on]:border-ink data-[state=on]:bg-tint data-[state=on]:font-semibold';

/** A question with no and yes, always in this order, unanswered at first. */
export function YesNo({
  question,
  answer,
  counts = 'yes',
  isShown = false,
  onAnswer,
}: {
  /** Said by a screen reader; where `isShown`, written before the answers, else it is next to them in the page. */
  question: string;
  isShown?: boolean;
  answer: boolean | undefined;
  /** Which answer changes what follows. */
  counts?: 'yes' | 'no';
  onAnswer: (yes: boolean) => void;
}) {
  const answers = (
    <ToggleGroup.Root
      type="single"
      // Up and down go from question to question.
      orientation="horizontal"
      aria-label={question}
      value={answer === undefined ? '' : answer ? 'yes' : 'no'}
      onValueChange={(next) => next && onAnswer(next === 'yes')}
      className="flex gap-1"
    >
      {(['no', 'yes'] as const).map((value) => (
        <ToggleGroup.Item
          key={value}
          value={value}
          className={`${NOT_CHOSEN} ${value === counts ? COUNTS : CALM}`}
        >
          {value === 'yes' ? t`Yes` : t`No`}
        </ToggleGroup.Item>
      ))}
    </ToggleGroup.Root>
  );
  if (!isShown) return answers;
  return (
    <div className="flex items-center gap-3">
      <span aria-hidden className="text-[15px]">
        {question}
      </span>
      {answers}
    </div>
  );
}
