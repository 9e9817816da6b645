import { t } from '@lingui/core/macro';
import { useQueryClient } from '@tanstack/react-query';
import { Command } from 'cmdk';
import { useDeferredValue, useEffect, useState } from 'react';
import { useLocation, useNavigate } from 'react-router';
import type { ClientRecord } from '#contract/client';
import { GOALS, type GoalId, goalIdSchema } from '#core/plan';
import { libraryOf } from '#core/protocol';
import { LINK_IDS, LINK_LABELS } from '#core/record';
import { KEYS } from '../data/keys';
import { usePeople } from '../data/people';
import { usePractice } from '../data/queries';
import { useFoundNotes } from '../data/visit-notes';
import { inSentence, translate } from '../language/translate';
import { KeyHint } from '../parts/base/Button';
import { BEHIND } from '../parts/base/Panel';
import { useHaste } from '../parts/keys/use-haste';
import { ACTIONS, type ActionId } from '../state/actions';
import { firstSteps } from '../state/first-steps';
import { type Here, here } from '../state/here';
import { BENCH_LETTERS, keyWords, PLACES } from '../state/places';
import { searchExercises } from '../words/search-exercises';

// More people are found by more letters.
const MOST_PEOPLE = 12;
const MOST_EXERCISES = 5;

/** What there is of a person beside the links of their chain, by the words people have for it. */
const PAGES = [
  {
    path: 'prescribe?part=block',
    words: t`Block of weeks`,
    keywords: t`calendar, schedule, deload, periodise`,
  },
  { path: 'outcomes', words: t`Outcomes`, keywords: t`progress, tests, measures, did it help` },
  { path: 'log', words: t`Log`, keywords: t`history, past sessions, totals, volume` },
  {
    path: 'record',
    words: t`Record`,
    keywords: t`note, letter, attach, document, photo, pdf, signed consent, correct, retract, mistake, merge, forget, rename, archive`,
  },
  { path: 'explain', words: t`What it is and feels like`, keywords: t`consent, risks, questions, faq` },
  { path: 'sheet/person', words: t`Sheet to take home`, keywords: t`print, handout, homework, pdf` },
  {
    path: 'run?home=link',
    words: t`A link to train at home`,
    keywords: t`distance, remote, qr, code, phone, online`,
  },
  { path: 'report', words: t`Report`, keywords: t`letter, referrer, pdf, print` },
];

/** What is done at each link of the chain, by the words people have for it. */
const LINK_WORDS: Record<(typeof LINK_IDS)[number], string> = {
  screen: t`questionnaire, medicines, clearance, hold, blood pressure rises in work, blood clot, thrombosis, embolism, contraindication, blood thinner, pregnant, varicose veins, letter`,
  fit: t`girth, tape, cuff size, strap, wrap`,
  measure: t`LOP, occlusion pressure, probe, by feel, turns, squeezes, Doppler, oximeter, pulse`,
  load: t`1RM, strength test, heavy work`,
  prescribe: t`plan, finisher, heavy lift first, another place, gym, travelling, superset, circuit, drop set, without LOP, 130 mmHg, arbitrary pressure, protocol, sets, 30-15-15-15`,
  run: t`session, ice, compression, swelling, lighter today`,
};

/** What a new plan may be for, by the words it is called every day. */
const NEW_PLANS: Record<GoalId, string> = {
  size: t`hypertrophy, muscle growth, bigger`,
  'strength-bridge': t`strength, near failure, before heavy`,
  keep: t`maintain, deload, holiday, travel`,
  rehab: t`knee, after surgery, operation, isometric, physiotherapy`,
  'warm-up': t`activation, before lifting, primer`,
  recovery: t`day off, light day, flush`,
  aerobic: t`walk, walking, cycle, bike, cardio, row, sled, endurance, 130`,
  passive: t`no exercise, bed rest, immobilised, in a cast`,
  cycles: t`preparation, intermittent, on and off, up and down, several times a day`,
  'three-and-one': t`whole limb, several muscles, full session`,
  'pain-relief': t`pain, sore, ache, hurts, provoking test, tendon`,
  functional: t`stairs, steps, chair, standing up, everyday, balance`,
  finisher: t`after heavy, after the main lifts, burn-out, end of training`,
};

/** What is open already, and what says nothing by its name alone. */
const NOT_SEARCHED: readonly ActionId[] = ['find', 'accept', 'leave'];

/** Of what several parts can do, what came last. */
const onceEach = (all: readonly Here[]): Here[] => [...new Map(all.map((one) => [one.id, one])).values()];

/** The first people a search finds. */
function useFirstPeople(search: string) {
  const { upTo, isSettled } = usePeople(search, { first: 0, last: MOST_PEOPLE - 1 });
  return { people: upTo(MOST_PEOPLE), isSettled };
}

/** Whose page is open; undefined on any other page. */
function usePersonInHand(): { id: string; name: string } | undefined {
  const id = useLocation().pathname.match(/^\/people\/([\w-]{36})/)?.[1];
  return useQueryClient().getQueryData<ClientRecord>(KEYS.client(id ?? ''));
}

/** Finds people and actions by a few letters. */
export function Palette({ open, onOpenChange }: { open: boolean; onOpenChange: (open: boolean) => void }) {
  const navigate = useNavigate();
  const doable = onceEach(here.use().filter(({ id }) => !NOT_SEARCHED.includes(id)));
  const [search, setSearch] = useState('');
  const { people, isSettled } = useFirstPeople(search.trim());
  // "Odalys walk": the first word says who, the others what; without a who it is whose page is open.
  const { people: called } = useFirstPeople(search.trim().split(' ')[0] ?? '');
  const inHand = usePersonInHand();
  const meant = people.length > 0 ? people : called.length > 0 ? called : inHand ? [inHand] : [];
  const first = people[0];
  const library = libraryOf(usePractice().data?.ownExercises ?? {});
  const exercises =
    search.trim().length < 3 ? [] : searchExercises(search, library).ids.slice(0, MOST_EXERCISES);
  const notes = useFoundNotes(useDeferredValue(search.trim()));
  const nameOf = (id: string): string => translate(library[id]?.label) ?? '';
  const hurry = useHaste(isSettled, () => {
    // Where no person has that name it was an action.
    if (!first) return document.querySelector<HTMLElement>('[cmdk-item][data-selected=true]')?.click();
    onOpenChange(false);
    navigate(`/people/${first.id}`);
  });
  // What comes late is chosen as what was there would have been: the first person a search finds.
  const [chosen, setChosen] = useState('');
  const firstValue = first && search.trim() ? itemOf(first) : undefined;
  useEffect(() => {
    if (isSettled && firstValue) setChosen(firstValue);
  }, [isSettled, firstValue]);
  const then = (action: () => void) => () => {
    onOpenChange(false);
    action();
  };
  const row =
    'flex min-h-11 items-center px-3 data-[selected=true]:bg-plum data-[selected=true]:text-on-plum';
  return (
    <Command.Dialog
      open={open}
      onOpenChange={onOpenChange}
      value={chosen}
      onValueChange={setChosen}
      label={t`Find people and actions`}
      overlayClassName={BEHIND}
      contentClassName="fixed top-24 left-1/2 z-50 w-[560px] max-w-[92vw] -translate-x-1/2 rounded-sm border border-ink bg-paper"
    >
      <Command.Input
        placeholder={t`A person or an action`}
        value={search}
        onValueChange={setSearch}
        onKeyDown={(event) => {
          if (event.key !== 'Enter' || isSettled) return;
          event.preventDefault();
          hurry();
        }}
        className="min-h-13 w-full border-b border-rule bg-paper px-3 text-lg"
      />
      <Command.List className="max-h-96 overflow-auto py-1">
        <Command.Empty className="px-3 py-2">{t`Nothing found. Try part of a name.`}</Command.Empty>
        {people.map((person) => (
          <Command.Item
            key={person.id}
            className={row}
            value={itemOf(person)}
            keywords={[person.story]}
            onSelect={then(() => navigate(`/people/${person.id}`))}
          >
            {person.name}
          </Command.Item>
        ))}
        {meant.flatMap((person) =>
          LINK_IDS.map((link) => (
            <Command.Item
              key={`${person.id} ${link}`}
              className={row}
              keywords={LINK_WORDS[link].split(', ')}
              value={`${person.name} ${translate(LINK_LABELS[link])} ${person.id}`}
              onSelect={then(() => navigate(`/people/${person.id}/${link}`))}
            >
              {person.name}: {translate(LINK_LABELS[link])} <Key>{keyWords(BENCH_LETTERS[link])}</Key>
            </Command.Item>
          )),
        )}
        {meant.flatMap((person) =>
          PAGES.map(({ path, words, keywords }) => (
            <Command.Item
              key={`${person.id} ${path}`}
              className={row}
              value={`${person.name} ${words} ${person.id}`}
              keywords={keywords.split(', ')}
              onSelect={then(() => navigate(`/people/${person.id}/${path}`))}
            >
              {person.name}: {words}
            </Command.Item>
          )),
        )}
        {meant.flatMap((person) =>
          goalIdSchema.options.map((goal) => (
            <Command.Item
              key={`${person.id} ${goal}`}
              className={row}
              value={`${person.name} new plan ${translate(GOALS[goal].label)} ${person.id}`}
              keywords={NEW_PLANS[goal].split(', ')}
              onSelect={then(() => navigate(`/people/${person.id}/prescribe?plan=new&goal=${goal}`))}
            >
              {t`${person.name}: new plan, ${inSentence(GOALS[goal].label)}`}
            </Command.Item>
          )),
        )}
        {exercises.map((id) => (
          <Command.Item
            key={`exercise ${id}`}
            className={row}
            // Found already, by everyday words and with letters that are wrong: it has what was typed in it.
            value={`exercise ${id} ${search}`}
            onSelect={then(() => navigate(`/exercises?find=${encodeURIComponent(nameOf(id))}`))}
          >
            {t`Exercise: ${nameOf(id)}`}
          </Command.Item>
        ))}
        {notes.map(({ id, client, words }) => (
          <Command.Item
            key={`note ${id}`}
            className={row}
            value={`note ${id} ${search}`}
            onSelect={then(() =>
              navigate(`/people/${client.id}/record?find=${encodeURIComponent(search.trim())}`),
            )}
          >
            {t`Note, ${client.name}: ${words}`}
          </Command.Item>
        ))}
        {PLACES.map(({ to, label, words, letter }) => (
          <Command.Item key={to} className={row} onSelect={then(() => navigate(to))}>
            {label}: {words} {letter !== undefined && <Key>{keyWords(letter)}</Key>}
          </Command.Item>
        ))}
        {doable.map(({ id, run }) => (
          <Command.Item key={id} className={row} onSelect={then(run)}>
            {ACTIONS[id].words} <Key>{ACTIONS[id].written}</Key>
          </Command.Item>
        ))}
        <Command.Item className={row} onSelect={then(firstSteps.explainAll)}>
          {t`Explain each step once more`}
        </Command.Item>
      </Command.List>
    </Command.Dialog>
  );
}

/** What distinguishes a person from another of the same name. */
const itemOf = ({ name, id }: { name: string; id: string }): string => `${name} ${id}`;

function Key({ children }: { children: string }) {
  return (
    <span className="ml-auto">
      <KeyHint>{children}</KeyHint>
    </span>
  );
}
