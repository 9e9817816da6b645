import { t } from '@lingui/core/macro';
import type { Pump } from '#core/kit';
import {
  METHODS,
  pulseMethodSchema,
  READING_SCHOOLS,
  readingSchoolSchema,
  SITE_LABELS,
} from '#core/occlusion-pressure';
import { type Limb, limbKind } from '#core/quantity';
import { inSentence, translate } from '../../../language/translate';
import { WordMenu } from '../../../parts/base/WordMenu';
import type { ReadingFrom, Setup } from './setup';

const UP_STEPS = [5, 10, 20, 50];
const DOWN_STEPS = [2, 4, 5, 10];
const FROM: { value: ReadingFrom; label: string }[] = [
  { value: 'typed', label: t`a gauge, typed` },
  { value: 'by-hand', label: t`a simulated hand pump` },
  { value: 'regulated', label: t`a simulated regulated pump` },
];

const asOptions = (steps: readonly number[]) =>
  steps.map((step) => ({ value: String(step), label: `${step} mmHg` }));

/** How a trial is taken: a sentence whose words are the controls (rules LOP-1, LOP-2). */
export function SetupSentence({
  setup,
  limb,
  pumps,
  onChange,
}: {
  setup: Setup;
  limb: Limb;
  pumps: readonly Pump[];
  onChange: (part: Partial<Setup>) => void;
}) {
  const sites = METHODS[setup.method].sites[limbKind(limb)];
  return (
    <p className="text-[16px]">
      {t`Pulse by `}
      <WordMenu
        label={t`Pulse by`}
        value={setup.method}
        onChange={(method) => onChange({ method })}
        options={pulseMethodSchema.options.map((value) => ({
          value,
          label: translate(METHODS[value].label),
        }))}
      />
      {', '}
      <WordMenu
        label={t`Site`}
        value={setup.site}
        onChange={(site) => onChange({ site })}
        options={(sites.length > 0 ? sites : [setup.site]).map((value) => ({
          value,
          label: translate(SITE_LABELS[value]),
        }))}
      />
      {t`, on `}
      <WordMenu
        label={t`Gauge`}
        value={setup.pumpId}
        onChange={(pumpId) => onChange({ pumpId })}
        options={pumps.map(({ id, label, divisionMmHg }) => ({
          value: id,
          label: t`${label.toLowerCase()} to ${divisionMmHg} mmHg`,
        }))}
      />
      {t`, read from `}
      <WordMenu
        label={t`Read from`}
        value={setup.from}
        onChange={(from) => onChange({ from })}
        options={FROM}
      />
      {t`. Up by `}
      <WordMenu
        label={t`Step up`}
        value={String(setup.steps.upMmHg)}
        onChange={(step) => onChange({ steps: { ...setup.steps, upMmHg: Number(step) } })}
        options={asOptions(UP_STEPS)}
      />
      {t`, down by `}
      <WordMenu
        label={t`Step down`}
        value={String(setup.steps.downMmHg)}
        onChange={(step) => onChange({ steps: { ...setup.steps, downMmHg: Number(step) } })}
        options={asOptions(DOWN_STEPS)}
      />
      {t`; read as `}
      <WordMenu
        label={t`Read as`}
        value={setup.readingSchool}
        onChange={(readingSchool) => onChange({ readingSchool })}
        options={readingSchoolSchema.options.map((value) => ({
          value,
          label: inSentence(READING_SCHOOLS[value].label),
        }))}
      />
      .
    </p>
  );
}
