import { type ReactNode, useLayoutEffect, useRef, useState } from 'react';
import { PAPERS, type Paper } from './papers';
import { usePage } from './sheets';

const PX_PER_MM = 96 / 25.4;
const MARGIN_MM = 12;
const SLACK_PX = 8;

/** A sheet that always fits one page of paper: a long one is set smaller, at the full width of the page. */
export function OnePage({ paper, children }: { paper: Paper; children: ReactNode }) {
  const ref = useRef<HTMLElement>(null);
  const [zoom, setZoom] = useState(1);
  const { widthMm, heightMm } = PAPERS[paper];
  usePage(paper, MARGIN_MM);
  const widthPx = (widthMm - 2 * MARGIN_MM) * PX_PER_MM;
  const heightPx = (heightMm - 2 * MARGIN_MM) * PX_PER_MM - SLACK_PX;
  // Wider lines make the sheet shorter, so the smallest step that fits is looked for, not computed.
  useLayoutEffect(() => {
    const element = ref.current;
    if (!element) return;
    const shrink = () => {
      let next = 1;
      for (; next > 0.4; next -= 0.02) {
        element.style.zoom = String(next);
        element.style.width = `${widthPx / next}px`;
        if (element.getBoundingClientRect().height <= heightPx) break;
      }
      setZoom(next);
    };
    shrink();
    // The strip takes its width a moment later, and letters when their font has come.
    const observer = new ResizeObserver(shrink);
    for (const child of element.children) observer.observe(child);
    return () => observer.disconnect();
  }, [widthPx, heightPx]);
  return (
    <main ref={ref} className="mx-auto bg-paper" style={{ zoom, width: widthPx / zoom }}>
      {children}
    </main>
  );
}
