import type { ReactNode } from 'react';

/** A line to write on, with what it is for. */
export function Line({
  label,
  value,
  wide = false,
  narrow = false,
}: {
  label: string;
  value?: string | undefined;
  wide?: boolean;
  narrow?: boolean;
}) {
  return (
    <p className={`flex items-end gap-2 ${wide ? 'w-full' : `${narrow ? 'min-w-28' : 'min-w-56'} flex-1`}`}>
      <span className="whitespace-nowrap">{label}</span>
      <span className="min-h-7 flex-1 border-b border-ink/60 px-1 font-semibold">{value}</span>
    </p>
  );
}

/** Boxes to tick, each with its word. */
export function Boxes({ of }: { of: readonly string[] }) {
  return (
    <span className="inline-flex flex-wrap gap-x-4 gap-y-1">
      {of.map((word) => (
        <span key={word} className="inline-flex items-center gap-1.5 whitespace-nowrap">
          <span aria-hidden className="inline-block size-3.5 border border-ink" />
          {word}
        </span>
      ))}
    </span>
  );
}

/** A table to fill in: rows by their first cell, the others empty unless they are given. */
export function EmptyTable({
  heads,
  rows,
}: {
  heads: readonly string[];
  rows: readonly (readonly ReactNode[])[];
}) {
  return (
    <table className="w-full border-collapse text-left">
      <thead>
        <tr>
          {heads.map((head) => (
            <th key={head} className="border border-ink/60 px-2 py-0.5 align-bottom text-[13px] font-normal">
              {head}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {rows.map((cells, at) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: a row of an empty table is its place.
          <tr key={at} className="h-8">
            {heads.map((head, column) => (
              <td key={head} className="border border-ink/60 px-2">
                {cells[column]}
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  );
}
