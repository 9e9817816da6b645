import { t } from '@lingui/core/macro';
import { useState } from 'react';
import { v4 as newId } from 'uuid';
import type { HomeSheet } from '#contract/home';
import { judgeDayCheck } from '#core/screening';
import { serverNow } from '../../../data/clock';
import { translate } from '../../../language/translate';
import { Button } from '../../../parts/base/Button';
import { Scale } from '../../../parts/fields/Scale';
import { BloodPressureFields } from '../../../parts/record/BloodPressureFields';
import { type DayAnswers, DayQuestions } from '../../../parts/record/DayQuestions';
import { FollowUpForm } from '../../../parts/record/FollowUpForm';
import { NO_PRESSURE, readPressure } from '../../../parts/record/typed-pressure';
import { Call } from './Call';
import type { Home } from './use-home';

/** What is asked before a session at home: how it was the day after the last one, then the day; and its start. */
export function BeforeHome({ home, sheet, isChecked }: { home: Home; sheet: HomeSheet; isChecked: boolean }) {
  const isAsked = home.kept.unsent.some(({ kind }) => kind === 'after');
  if (sheet.askAfter !== null && !isAsked) {
    const sessionId = sheet.askAfter;
    return (
      <FollowUpForm
        known={null}
        act={(intent) => {
          if (intent.do !== 'follow-up') return;
          const { do: _, ...answers } = intent;
          home.tell({ kind: 'after', id: newId(), sessionId, atMs: serverNow(), answers });
        }}
      />
    );
  }
  return isChecked ? <StartHome home={home} sheet={sheet} /> : <CheckHome home={home} sheet={sheet} />;
}

function CheckHome({ home, sheet: { asks, asksBloodPressure, practice } }: { home: Home; sheet: HomeSheet }) {
  const [well, setWell] = useState<DayAnswers>({});
  const [painNow, setPainNow] = useState<number | null>(null);
  const [typed, setTyped] = useState(NO_PRESSURE);
  const { reading } = readPressure(typed);
  const isComplete =
    asks.every((sign) => well[sign] !== undefined) &&
    painNow !== null &&
    (!asksBloodPressure || reading !== null);
  const answers = {
    notWell: asks.filter((sign) => well[sign] === false),
    painNow: painNow ?? 0,
    bloodPressure: reading,
  };
  const holds = isComplete ? judgeDayCheck(answers).filter(({ level }) => level === 'hard') : [];
  const record = () => {
    const atMs = serverNow();
    home.tell({ kind: 'check', id: newId(), atMs, answers }, holds.length > 0 ? {} : { checkedAtMs: atMs });
  };
  return (
    <section aria-label={t`Before you begin`} className="space-y-3">
      <h2 className="text-xl font-semibold">{t`Before you begin`}</h2>
      <DayQuestions signs={asks} well={well} setWell={setWell} />
      <Scale label={t`Pain now`} value={painNow} onChange={setPainNow} />
      {asksBloodPressure && (
        <BloodPressureFields label={t`Blood pressure today`} typed={typed} onChange={setTyped} />
      )}
      {holds.length > 0 && (
        <div className="notched space-y-1 py-2">
          <p className="text-xl font-semibold">{t`Not today`}</p>
          {holds.map(({ message }) => (
            <p key={translate(message)}>{translate(message)}</p>
          ))}
          <Call phone={practice.phone} />
        </div>
      )}
      <Button kind="main" className="w-full" disabled={!isComplete} onClick={record}>
        {holds.length > 0 ? t`Tell my practice` : t`That is how it is`}
      </Button>
    </section>
  );
}

function StartHome({ home, sheet }: { home: Home; sheet: HomeSheet }) {
  const start = () => {
    const id = newId();
    home.change({ running: { id, prescriptionId: sheet.prescriptionId, plan: sheet.plan, events: [] } });
    home.runtime.note(id, [{ type: 'session-started', byClient: true }]);
  };
  return (
    <Button kind="main" className="min-h-20 w-full text-2xl" onClick={start}>
      {t`Begin`}
    </Button>
  );
}
