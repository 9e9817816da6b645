import { t } from '@lingui/core/macro';
import { create } from 'qrcode';
import { useMemo } from 'react';

/** A square that a phone reads an address of. @param label what it opens, in words */
export function QrCode({ text, label, sizePx = 88 }: { text: string; label: string; sizePx?: number }) {
  const { path, size } = useMemo(() => pathOf(text), [text]);
  return (
    <svg
      role="img"
      aria-label={t`Code that opens ${label}`}
      width={sizePx}
      height={sizePx}
      // Four modules of quiet around it, as readers need.
      viewBox={`-4 -4 ${size + 8} ${size + 8}`}
      shapeRendering="crispEdges"
    >
      {/* Dark on light in every theme: readers know no other. */}
      <rect x={-4} y={-4} width={size + 8} height={size + 8} fill="#fff" />
      <path d={path} fill="#000" />
    </svg>
  );
}

function pathOf(text: string): { path: string; size: number } {
  const { size, data } = create(text, { errorCorrectionLevel: 'M' }).modules;
  const squares = Array.from(data).flatMap((isDark, at) =>
    isDark ? [`M${at % size} ${Math.floor(at / size)}h1v1h-1z`] : [],
  );
  return { path: squares.join(''), size };
}
