import type { ReactNode } from 'react';

/** A table that scrolls sideways by itself where it is wider than the page. @param className of the table */
export const WideTable = ({ className = '', children }: { className?: string; children: ReactNode }) => (
  <div className="relative overflow-x-auto">
    <table className={className}>{children}</table>
  </div>
);
