import { lazy, type ReactNode, Suspense } from 'react';
import { door, workingPractitioner } from '../data/practitioner';

const Door = lazy(() => import('../views/door/Door').then((module) => ({ default: module.Door })));

/**
 * Shows what is on record only while somebody is in. What one had open and typed stays beneath, out of sight and out of reach,
 * and is there again for the same person; for another the page is made anew.
 */
export function Gated({ children, className }: { children: ReactNode; className?: string }) {
  const isShut = door.use() === 'shut';
  const isAnybodys = workingPractitioner.use() !== '';
  return (
    <>
      {isAnybodys && (
        <div hidden={isShut} inert={isShut} className={className}>
          {children}
        </div>
      )}
      {isShut && (
        <Suspense>
          <Door />
        </Suspense>
      )}
    </>
  );
}
