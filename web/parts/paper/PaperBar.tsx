import { t } from '@lingui/core/macro';
import { Button } from '../base/Button';
import { Choice } from '../fields/Choice';
import { useAction } from '../keys/use-action';
import { PAPERS, type Paper } from './papers';

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
