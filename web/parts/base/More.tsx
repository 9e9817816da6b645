/** Asks for the next page of a list; nothing once all of it is there. */
export function More({ more, children }: { more: (() => void) | null; children: string }) {
  if (!more) return null;
  return (
    <button type="button" onClick={more} className="min-h-11 font-semibold underline underline-offset-4">
      {children}
    </button>
  );
}
