import { Trans } from '@lingui/react/macro';
import { Popover } from 'radix-ui';
import { RULES, type RuleId } from '#core/rules';
import { translate } from '../../language/translate';

/** "why": the rule behind what is before it, in words, with where it comes from. On paper its id is printed instead. */
export function Why({ rule }: { rule: RuleId }) {
  const { title, text, source } = RULES[rule];
  return (
    <>
      <Popover.Root>
        <Popover.Trigger className="text-[14px] font-normal text-quiet underline decoration-dotted underline-offset-4 hover:text-ink print:hidden">
          <Trans>
            why<span className="sr-only">: {translate(title)}</span>
          </Trans>
        </Popover.Trigger>
        <Popover.Portal>
          <Popover.Content
            sideOffset={6}
            collisionPadding={12}
            aria-label={`${rule} ${translate(title)}`}
            className="z-60 w-96 max-w-[90vw] rounded-sm border border-ink/40 bg-paper p-4 text-[15px] text-ink"
          >
            <p className="font-semibold">{translate(title)}</p>
            <p className="mt-1">{translate(text)}</p>
            <p className="mt-2 text-[14px] text-quiet">
              {translate(source)}. <span className="figures">{rule}</span>
            </p>
          </Popover.Content>
        </Popover.Portal>
      </Popover.Root>
      <span className="hidden print:inline">({rule})</span>
    </>
  );
}

const NAMED = /\s?\(([A-Z]+(?:-\d+)?)\)(\.?)/;

/** A sentence that names the rule behind it, such as "Above 80 % (PRS-3).", with "why" in the place of the id. */
export function Said({ children }: { children: string }) {
  const [before = '', rule, stop, ...after] = children.split(NAMED);
  if (rule === undefined || !isRule(rule)) return children;
  return (
    <>
      {before}
      {stop} <Why rule={rule} />
      {after.join('')}
    </>
  );
}

/** The same for a person who trains at home, who has no use for a rule: the sentence alone. */
export const withoutRule = (words: string): string => words.replace(NAMED, '$2');

const isRule = (id: string): id is RuleId => id in RULES;
