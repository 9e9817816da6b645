import { t } from '@lingui/core/macro';
import { Button } from './Button';
import { Choice } from './Choice';
import { PAPERS, type Paper } from './papers';
import { useAction } from './use-action';

/** Of which paper a sheet is, and printing it. */
export function PaperBar({ paper, onPaper }: { paper: Paper; onPaper: (paper: Paper) => void }) {
  const print = () => window.print();
  useAction('print', print);
  return (
    <>
      <Choice
        label={t`Paper`}
        value={paper}
        onChange={onPaper}
        options={(Object.keys(PAPERS) as Paper[]).map((value) => ({ value, label: value }))}
      />
      <Button kind="main" does="print" onClick={print}>
        {t`Print`}
      </Button>
    </>
  );
}
