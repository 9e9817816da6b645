import type { ReactNode } from 'react';
import type { Paper } from './papers';
import { useSheet } from './sheets';

/** What is set for paper: its size, its margins, and nothing that scrolls. */
export function ForPaper({ paper, children }: { paper: Paper; children: ReactNode }) {
  useSheet(`@page { size: ${paper}; margin: 16mm; } @media print { html, body, #root { height: auto; } }`);
  return <main className="mx-auto max-w-3xl p-6 print:max-w-none print:p-0">{children}</main>;
}
