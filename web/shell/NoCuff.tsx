/** The cuff dock while no cuff is up. */
export const NoCuff = () => (
  <section aria-label="Cuff dock" className="border-t border-ink/40 bg-paper px-4 print:hidden">
    <p className="py-1 text-[14px] text-quiet">No cuff is inflated.</p>
  </section>
);
