import { type ReactNode, useState } from 'react';
import type { Finding } from '#core/findings';
import { msg } from '#core/message';
import type { Limb } from '#core/quantity';
import { Button } from '../parts/base/Button';
import { Figure } from '../parts/base/Figure';
import { FindingLine } from '../parts/base/FindingLine';
import { PhoneFold } from '../parts/base/PhoneFold';
import { Pip } from '../parts/base/Pip';
import { WordMenu } from '../parts/base/WordMenu';
import { LimbCross } from '../parts/drawing/LimbCross';
import { Choice } from '../parts/fields/Choice';
import { DateField } from '../parts/fields/DateField';
import { Field } from '../parts/fields/Field';
import { NumberField } from '../parts/fields/NumberField';
import { Picker } from '../parts/fields/Picker';
import { Scale } from '../parts/fields/Scale';
import { SearchField } from '../parts/fields/SearchField';
import { Tick } from '../parts/fields/Tick';
import { Ticks } from '../parts/fields/Ticks';
import { TimeField } from '../parts/fields/TimeField';
import { YesNo } from '../parts/fields/YesNo';

/** A part in its states, with the last value it was given, so that a test can read it. */
type SampleOf = { name: string; Sample: () => ReactNode };

const Row = ({ children }: { children: ReactNode }) => (
  <div className="flex flex-wrap items-end gap-6">{children}</div>
);
const Shown = ({ children }: { children: ReactNode }) => (
  <output className="block text-[14px] text-quiet">Shown: {children}</output>
);

const BANDS = [
  { value: 'light', label: 'light band' },
  { value: 'middle', label: 'middle band' },
  { value: 'heavy', label: 'heavy band' },
] as const;
type Band = (typeof BANDS)[number]['value'];

const finding = (level: Finding['level']): Finding => ({
  level,
  rule: 'PRS-3',
  subject: 'pressure',
  message: msg('{percentLop} % is above {most} % of LOP, which must not be exercised at.', {
    percentLop: 90,
    most: 80,
  }),
  remedy: msg('Set {most} % or lower.', { most: 80 }),
});

function Buttons() {
  return (
    <Row>
      <Button kind="main" does="accept">
        Record it
      </Button>
      <Button>Leave as it was</Button>
      <Button kind="stop" does="stop">
        Stop
      </Button>
      <Button aria-pressed>Held</Button>
      {(['main', 'plain', 'stop'] as const).map((kind) => (
        <Button key={kind} kind={kind} disabled>
          Not now, {kind}
        </Button>
      ))}
    </Row>
  );
}

function Fields() {
  const [name, setName] = useState('Name');
  return (
    <Row>
      <Field label="Name" value={name} onChange={({ target }) => setName(target.value)} />
      <Field label="Pump" hint="As it is written on it" defaultValue="" />
      <Field label="Serial number" error="Give the number on its back." defaultValue="" />
      <Field label="Kept" disabled defaultValue="as signed" />
    </Row>
  );
}

function NumberFields() {
  const [value, setValue] = useState(7.5);
  return (
    <>
      <Row>
        <NumberField label="Load" unit="kg" value={value} onValue={setValue} />
        <NumberField label="Untyped" unit="kg" value={Number.NaN} onValue={() => {}} />
        <NumberField label="Pressure" unit="% LOP" value={90} error="At most 80 %." onValue={() => {}} />
      </Row>
      <Shown>{String(value)}</Shown>
    </>
  );
}

function Questions() {
  const [well, setWell] = useState<boolean | undefined>(undefined);
  return (
    <>
      <YesNo question="Slept and hydrated" isShown counts="no" answer={well} onAnswer={setWell} />
      <YesNo question="Numbness" isShown answer={true} onAnswer={() => {}} />
      <Shown>{well === undefined ? 'nothing' : String(well)}</Shown>
    </>
  );
}

function Boxes() {
  const [days, setDays] = useState<('mon' | 'thu')[]>(['mon']);
  const [urgent, setUrgent] = useState(true);
  return (
    <>
      <Ticks
        label="Can come on"
        options={[
          { value: 'mon', label: 'Mon' },
          { value: 'thu', label: 'Thu' },
        ]}
        chosen={days}
        onChange={setDays}
        error={days.length === 0 ? 'Choose a day.' : undefined}
      />
      <Tick tone="stop" checked={urgent} onChange={setUrgent}>
        A swollen, hot calf
      </Tick>
      <Tick name="Set 1, cuff down after it" checked={false} onChange={() => {}} />
      <Shown>{days.join(', ') || 'none'}</Shown>
    </>
  );
}

function Choices() {
  const [band, setBand] = useState<Band>('middle');
  const [limb, setLimb] = useState<Limb>('left-thigh');
  return (
    <>
      <Row>
        <Choice
          label="As a row"
          value={band}
          options={BANDS.map((option) => ({ ...option, hint: `${option.label}, for a start` }))}
          onChange={setBand}
        />
        <Picker label="As a list" value={band} options={BANDS} onChange={setBand} />
        <p>
          In a sentence: with the <WordMenu label="Band" value={band} options={BANDS} onChange={setBand} />.
        </p>
      </Row>
      <LimbCross value={limb} known={{ 'left-thigh': '54.5 cm' }} onChange={setLimb} />
      <Shown>
        {band}, {limb}
      </Shown>
    </>
  );
}

function Times() {
  const [day, setDay] = useState('2026-04-06');
  const [time, setTime] = useState('09:30');
  return (
    <>
      <Row>
        <DateField label="Starts on" value={day} onChange={setDay} />
        <DateField label="Until" value="" onChange={() => {}} error="Give a day." />
        <TimeField label="At" value={time} onChange={setTime} />
      </Row>
      <Shown>
        {day} {time}
      </Shown>
    </>
  );
}

function Scales() {
  const [effort, setEffort] = useState<number | null>(null);
  const [search, setSearch] = useState('');
  return (
    <>
      <Scale label="Effort, set 1" keys="0–9" value={effort} onChange={setEffort} />
      <SearchField label="Find a person" value={search} onChange={setSearch} />
      <Shown>{effort === null ? 'nothing' : effort}</Shown>
    </>
  );
}

function Folded() {
  return (
    <PhoneFold label="How it is measured" summary="Thigh large, probe">
      <p>Pulse by probe, on the shin.</p>
    </PhoneFold>
  );
}

function Judgements() {
  const [fixed, setFixed] = useState(false);
  return (
    <>
      <FindingLine finding={finding('hard')} fix={{ apply: () => setFixed(true), key: 'Alt 1' }} />
      <FindingLine finding={finding('guard')} />
      <FindingLine finding={finding('note')} />
      <p className="flex gap-4">
        {(['good', 'due', 'missing', 'held'] as const).map((state) => (
          <Pip key={state} state={state} />
        ))}
      </p>
      <Figure label="Pressure" derived={{ value: 87, unit: 'mmHg', working: [], rules: ['PRS-3'] }} />
      <Shown>{fixed ? 'fixed' : 'as it was'}</Shown>
    </>
  );
}

export const SAMPLES: readonly SampleOf[] = [
  { name: 'Buttons', Sample: Buttons },
  { name: 'Fields', Sample: Fields },
  { name: 'Numbers', Sample: NumberFields },
  { name: 'Yes and no', Sample: Questions },
  { name: 'Boxes to tick', Sample: Boxes },
  { name: 'One of a few', Sample: Choices },
  { name: 'Days and times', Sample: Times },
  { name: 'Scales and searches', Sample: Scales },
  { name: 'Folded on a phone', Sample: Folded },
  { name: 'What a rule says', Sample: Judgements },
];
