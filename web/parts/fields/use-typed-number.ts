import { useState } from 'react';
import { toNumber } from '#core/quantity';
import { plain } from '../../words/format';

/**
 * A number as it is being typed: keeps the text, also when it is no number; `onValue` then gets NaN, and whatever is made
 * from it waits. When the number changes elsewhere, by a remedy or a drag, what was typed gives way.
 */
export function useTypedNumber(value: number, onValue: (value: number) => void) {
  const [typed, setTyped] = useState(shown(value));
  const [seen, setSeen] = useState(value);
  if (!Object.is(value, seen)) {
    setSeen(value);
    if (!Object.is(value, toNumber(typed))) setTyped(shown(value));
  }
  const type = (text: string) => {
    setTyped(text);
    setSeen(toNumber(text));
    onValue(toNumber(text));
  };
  return { typed, type, untyped: Number.isNaN(toNumber(typed)) };
}

const shown = (value: number): string => (Number.isNaN(value) ? '' : plain(value, 2));
