import { type ReactNode, Suspense, useEffect, useState } from 'react';
import { lockState } from '../data/practitioner';

type Props = { signIn: ReactNode; children: ReactNode; className?: string };

/**
 * Shows what is on record only while signed in. What one had open and typed stays beneath, out of sight and out of reach,
 * and is there again for the same person; for another the page is reloaded.
 * @param signIn the sign-in page, which takes its place while the device is locked
 */
export function Gated({ signIn, children, className }: Props) {
  const isLocked = lockState.use() === 'locked';
  // A page that was opened locked has asked for nothing yet.
  const [wasOpen, setWasOpen] = useState(!isLocked);
  if (!isLocked && !wasOpen) setWasOpen(true);
  useEffect(() => {
    // What lies over the page, such as an open “why”, lies outside of it (theme.css).
    document.body.toggleAttribute('data-locked', isLocked);
  }, [isLocked]);
  return (
    <>
      {wasOpen && (
        <div hidden={isLocked} inert={isLocked} className={className}>
          {children}
        </div>
      )}
      {isLocked && (
        // What lies beneath keeps its place while the sign-in page is fetched.
        <Suspense fallback={<div className="flex-1" />}>{signIn}</Suspense>
      )}
    </>
  );
}
