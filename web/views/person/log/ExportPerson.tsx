import { t } from '@lingui/core/macro';
import type { ClientRecord } from '#contract/client';
import { failureWords } from '../../../data/api';
import { useExport } from '../../../data/import-export';
import { useMay } from '../../../data/queries';
import { fileStem } from '../../../data/save-file';
import { Button } from '../../../parts/base/Button';
import { FieldError } from '../../../parts/fields/Field';

/** A person's whole record as one open file, for another practice or for themselves. */
export function ExportPerson({ client: { id, name } }: { client: ClientRecord }) {
  const takeOut = useExport();
  if (!useMay('take-person-out')) return null;
  const fileName = fileStem(name);
  return (
    <div className="flex flex-wrap gap-3">
      <Button
        disabled={takeOut.isPending}
        onClick={() => takeOut.mutate({ path: `archive/of/${id}`, fileName: `${fileName}.ndjson` })}
      >
        {t`Whole record as a file`}
      </Button>
      <Button
        disabled={takeOut.isPending}
        onClick={() => takeOut.mutate({ path: `archive/of/${id}/fhir`, fileName: `${fileName}.fhir.json` })}
      >
        {t`for a clinic (FHIR)`}
      </Button>
      {takeOut.error && <FieldError>{failureWords(takeOut.error)}</FieldError>}
    </div>
  );
}
