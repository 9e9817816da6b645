import type { ReactNode } from 'react';
import type { Paper } from './papers';
import { usePage } from './sheets';

const MARGIN_MM = 16;

/** What is set for paper: its size, its margins, and nothing that scrolls. */
export function ForPaper({ paper, children }: { paper: Paper; children: ReactNode }) {
  usePage(paper, MARGIN_MM);
  return <main className="mx-auto max-w-3xl p-6 print:max-w-none print:p-0">{children}</main>;
}
