import { createRoot } from 'react-dom/client';
import type { IssuedReport, PrintedReport } from '#contract/outcomes';
import { api, read } from './data/api';
import { InLanguage } from './language/InLanguage';
import { writeAs } from './language/translate';
import { ForPaper } from './parts/paper/ForPaper';
import { PAPERS, type Paper } from './parts/paper/papers';
import { ReportPage } from './views/person/report/ReportPage';

// An issued report alone, always on paper's ground.
document.documentElement.dataset.theme = 'paper';
const asked = new URLSearchParams(window.location.search);
const paper = Object.keys(PAPERS).find((name): name is Paper => name === asked.get('paper')) ?? 'A4';

function Printed({ issued }: { issued: IssuedReport }) {
  return (
    <ForPaper paper={paper}>
      <ReportPage report={issued.content} atMs={issued.atMs} />
    </ForPaper>
  );
}

const { report, writing } = await read<PrintedReport>(
  api.print[':ticket'].$get({ param: { ticket: asked.get('ticket') ?? '' } }),
);
writeAs(writing);
const root = document.getElementById('root');
if (root)
  createRoot(root).render(
    <InLanguage>
      <Printed issued={report} />
    </InLanguage>,
  );
