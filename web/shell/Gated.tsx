import { type ReactNode, Suspense, useEffect, useState } from 'react';
import { door } from '../data/practitioner';
import { lazyView } from '../language/lazy-view';

const Door = lazyView(() => import('../views/door/Door'), 'Door', 'door');

/**
 * Shows what is on record only while somebody is in. What one had open and typed stays beneath, out of sight and out of reach,
 * and is there again for the same person; for another the page is made anew.
 */
export function Gated({ children, className }: { children: ReactNode; className?: string }) {
  const isShut = door.use() === 'shut';
  // A page that was opened locked has asked for nothing yet.
  const [wasOpen, setWasOpen] = useState(!isShut);
  if (!isShut && !wasOpen) setWasOpen(true);
  useEffect(() => {
    // What lies over the page, such as an open “why”, lies outside of it (theme.css).
    document.body.toggleAttribute('data-shut', isShut);
  }, [isShut]);
  return (
    <>
      {wasOpen && (
        <div hidden={isShut} inert={isShut} className={className}>
          {children}
        </div>
      )}
      {isShut && (
        // What lies beneath keeps its place while the door is fetched.
        <Suspense fallback={<div className="flex-1" />}>
          <Door />
        </Suspense>
      )}
    </>
  );
}
