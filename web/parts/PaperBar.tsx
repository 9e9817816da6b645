import { useHotkeys } from 'react-hotkeys-hook';
import { Button } from './Button';
import { Choice } from './Choice';
import { PAPERS, type Paper } from './papers';

/** Of which paper a sheet is, and printing it. */
export function PaperBar({ paper, onPaper }: { paper: Paper; onPaper: (paper: Paper) => void }) {
  const print = () => window.print();
  useHotkeys('p', print);
  return (
    <>
      <Choice
        label="Paper"
        value={paper}
        onChange={onPaper}
        options={(Object.keys(PAPERS) as Paper[]).map((value) => ({ value, label: value }))}
      />
      <Button kind="main" keyHint="P" onClick={print}>
        Print
      </Button>
    </>
  );
}
