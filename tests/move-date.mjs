/**
 * Moves the clock that `Date` reads, once. It is by itself, so that a page can be given it as text.
 * @param {number} aheadMs how far it is moved; back where it is under 0
 */
export function moveDate(aheadMs) {
  const isMoved = Symbol.for('moved');
  if (isMoved in Date) return;
  globalThis.Date = new Proxy(Date, {
    has: (machine, key) => key === isMoved || key in machine,
    get: (machine, key) => (key === 'now' ? () => machine.now() + aheadMs : Reflect.get(machine, key)),
    construct: (machine, given, asked) =>
      Reflect.construct(machine, given.length > 0 ? given : [machine.now() + aheadMs], asked),
    apply: (machine) => new machine(machine.now() + aheadMs).toString(),
  });
}
