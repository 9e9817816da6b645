import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import { useState } from 'react';
import type { ClientRecord } from '#contract/client';
import type { NewTightness } from '#contract/measurements';
import { aimWords, checkTightness, type FitFact, markWords, stepName, TIGHTNESS_WORDS } from '#core/cuff';
import { hardFindings } from '#core/findings';
import type { Strap } from '#core/kit';
import { LIMB_LABELS, type Limb, newest, otherSide, toNumber } from '#core/quantity';
import { api, failureWords, read } from '../../../data/api';
import { useRecordWrite } from '../../../data/queries';
import { translate } from '../../../language/translate';
import { Button } from '../../../parts/base/Button';
import { FindingLine } from '../../../parts/base/FindingLine';
import { Why } from '../../../parts/base/Why';
import { Field, FieldError } from '../../../parts/fields/Field';
import { HandHints } from '../../../parts/fields/HandHints';
import { Scale } from '../../../parts/fields/Scale';
import { YesNo } from '../../../parts/fields/YesNo';
import { useFields } from '../../../parts/forms/use-fields';
import { dayAndTime, plain } from '../../../words/format';

/** A strap tightened by feel: second best, and never a share of the occlusion pressure (rule TIGHT). */
const PLACE_LABELS = { marks: t`Mark at the buckle`, turns: t`Turns`, squeezes: t`Squeezes` };
const RANGE = {
  marks: (first: number, last: number) => t`marks ${first}–${last}`,
  turns: (first: number, last: number) => t`turns ${first}–${last}`,
  squeezes: (first: number, last: number) => t`squeezes ${first}–${last}`,
};

export function TightnessForm({
  client,
  fit,
  limb,
  strap,
  saved,
}: {
  client: ClientRecord;
  fit: Extract<FitFact, { kind: 'strap' }>;
  limb: Limb;
  strap: Strap;
  saved: () => void;
}) {
  const isWrap = strap.counts === 'turns';
  const last = newest(
    client.facts.tightness.filter((fact) => fact.limb === limb && fact.strapId === fit.strapId),
  );
  const other = newest(
    client.facts.tightness.filter((fact) => fact.limb === otherSide(limb) && fact.strapId === fit.strapId),
  );
  const [felt, setFelt] = useState<number | null>(null);
  const [looks, setLooks] = useState<{ colourGood?: boolean; noTingling?: boolean }>({});
  const write = useRecordWrite((json: NewTightness) =>
    read(api.clients[':id'].tightness.$post({ param: { id: client.id }, json })),
  );
  const { typed, field, send } = useFields(
    { mark: last ? plain(last.mark) : '', tension: last?.tension ?? '' },
    write.error,
  );
  const mark = toNumber(typed.mark);
  const complete =
    !Number.isNaN(mark) && felt !== null && looks.colourGood !== undefined && looks.noTingling !== undefined;
  const answers = {
    limb,
    strapId: fit.strapId,
    mark,
    ...(isWrap ? { tension: typed.tension.trim() } : {}),
    felt: felt ?? 0,
    colourGood: looks.colourGood ?? true,
    noTingling: looks.noTingling ?? true,
  };
  const findings = complete ? checkTightness(answers, strap) : [];
  const mayRecord = complete && hardFindings(findings).length === 0 && !write.isPending;
  return (
    <form
      className="max-w-2xl min-w-0 space-y-4 md:col-span-1 xl:col-span-2"
      {...send(() => mayRecord && write.mutate(answers, { onSuccess: saved }))}
    >
      <p className="notched py-1 text-ochre">
        {t`By feel only. People misjudge tightness, so this never counts as a measured pressure; a cuff with a gauge is better.`}{' '}
        <Why rule="TIGHT" />
      </p>
      <p>
        <Trans>
          <strong>{translate(LIMB_LABELS[limb])}</strong>, {strap.label},{' '}
          {RANGE[strap.counts](strap.firstMark, strap.lastMark)}. Start low, go up one{' '}
          {translate(stepName(strap))} at a time, aim for{' '}
          <span className="figures text-xl">{aimWords(limb)}</span> of 10.
          {last && t` Last time ${translate(markWords(last))}, felt ${last.felt}, ${dayAndTime(last.atMs)}.`}
        </Trans>
      </p>
      {other && (
        <p>
          {t`${translate(LIMB_LABELS[other.limb])}: ${translate(markWords(other))}, felt ${other.felt} of 10, ${dayAndTime(other.atMs)}. Put both on and ask which is tighter; they seldom need the same.`}
        </p>
      )}
      <HandHints step="strap" kind={strap.limbKind} />
      <Field label={PLACE_LABELS[strap.counts]} className="max-w-40" number="decimal" {...field('mark')} />
      {isWrap && (
        <Field
          label={t`How far it is stretched, in words`}
          className="max-w-96"
          maxLength={60}
          autoComplete="off"
          {...field('tension')}
        />
      )}
      <Scale
        label={t`How tight it feels: ${Object.entries(TIGHTNESS_WORDS)
          .map(([step, words]) => `${step} ${translate(words)}`)
          .join(', ')}`}
        value={felt}
        onChange={setFelt}
      />
      <div className="flex flex-wrap gap-6">
        <YesNo
          question={t`Colour good`}
          isShown
          counts="no"
          answer={looks.colourGood}
          onAnswer={(colourGood) => setLooks({ ...looks, colourGood })}
        />
        <YesNo
          question={t`No tingling`}
          isShown
          counts="no"
          answer={looks.noTingling}
          onAnswer={(noTingling) => setLooks({ ...looks, noTingling })}
        />
      </div>
      {findings.map((finding) => (
        <FindingLine key={translate(finding.message)} finding={finding} />
      ))}
      {write.error && <FieldError>{failureWords(write.error)}</FieldError>}
      <Button type="submit" kind="main" disabled={!mayRecord}>
        {t`Record ${strap.counts === 'marks' ? t`mark` : strap.counts} and feel`}
      </Button>
    </form>
  );
}
