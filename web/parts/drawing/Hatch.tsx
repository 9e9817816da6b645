/** What is planned: plum at a quarter, hatched; to be filled with by its id. @param size of one stripe, in px */
export function Hatch({ id, size = 6 }: { id: string; size?: number }) {
  return (
    <defs>
      <pattern id={id} width={size} height={size} patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <rect width={size} height={size} fill="var(--color-plum)" opacity="0.14" />
        <line x1="0" y1="0" x2="0" y2={size} stroke="var(--color-plum)" strokeWidth="2" opacity="0.35" />
      </pattern>
    </defs>
  );
}
