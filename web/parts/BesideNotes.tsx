import { useState } from 'react';
import type { Intent } from '#core/session/decide/intent';
import { BESIDE_IDS, BESIDE_LABELS, type Beside } from '#core/session/events';
import type { SessionState } from '#core/session/state';
import { Button } from './Button';
import { Field } from './Field';
import { dayAndTime } from './format';
import { WordMenu } from './WordMenu';

const OPTIONS = BESIDE_IDS.map((value) => ({ value, label: BESIDE_LABELS[value].toLowerCase() }));

/** What else was done in the sitting, without a cuff: before, between or after the work under it. */
export function BesideNotes({ state, act }: { state: SessionState; act: (intent: Intent) => unknown }) {
  const [what, setWhat] = useState<Beside>('mobility');
  const [words, setWords] = useState('');
  return (
    <details>
      <summary className="min-h-11 cursor-pointer py-2 text-[15px]">
        Beside the cuff{state.beside.length > 0 && `: ${state.beside.length} noted`}
      </summary>
      <ul>
        {state.beside.map(({ atMs, what: noted, words: said }) => (
          <li key={`${atMs} ${noted}`} className="border-b border-rule py-1">
            {BESIDE_LABELS[noted]}
            {said && `: ${said}`} <span className="figures text-[13px] text-quiet">{dayAndTime(atMs)}</span>
          </li>
        ))}
      </ul>
      <form
        className="space-y-2 pt-2"
        onSubmit={(event) => {
          event.preventDefault();
          act({ do: 'note-beside', what, words: words.trim() });
          setWords('');
        }}
      >
        <WordMenu label="Beside the cuff" value={what} onChange={setWhat} options={OPTIONS} />
        <Field
          label="In a few words"
          maxLength={200}
          autoComplete="off"
          value={words}
          onChange={(event) => setWords(event.target.value)}
        />
        <Button type="submit">Note it</Button>
      </form>
    </details>
  );
}
