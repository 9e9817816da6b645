import { type ReactNode, useEffect } from 'react';
import { awaitView } from '../../state/view-awaited';

/** Shown while a view is still being read; keys that are pressed meanwhile are kept for it. */
export function Reading({ children, inFrame = false }: { children: ReactNode; inFrame?: boolean }) {
  useEffect(awaitView, []);
  return <p className={`text-quiet ${inFrame ? 'p-6' : ''}`}>{children}</p>;
}

/** The same for a moment too short to say anything. */
export function ReadingSilently(): null {
  useEffect(awaitView, []);
  return null;
}
