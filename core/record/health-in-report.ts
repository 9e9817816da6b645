import { list, msg } from '../message/message';
import type { ReportLine } from '../outcomes/report';
import { newest } from '../quantity/newest';
import { hasLimits, isInForce } from '../screening/clearance';
import { SCREEN_ITEMS } from '../screening/items';
import { answeredInForce } from './conditions-in-force';
import type { ClientFacts } from './facts';
import { limitWords } from './limit-words';

/** What a report says of health, where that is chosen: what was answered with yes, medicines, and what letters limit (rules SCR-1, SCR-2). */
export function healthInReport(
  facts: Pick<ClientFacts, 'conditions' | 'screenings' | 'clearances' | 'bornOn' | 'zoneOffsetMs'>,
  nowMs: number,
): ReportLine[] {
  const { yes } = answeredInForce(facts, nowMs);
  const medicines = newest(facts.screenings)?.medicines ?? [];
  const limiting = facts.clearances.filter(
    (clearance) => isInForce(clearance, nowMs) && hasLimits(clearance),
  );
  return [
    {
      about: msg('Answered with yes'),
      says:
        yes.length === 0
          ? msg('Nothing')
          : list(
              yes.map((item) => SCREEN_ITEMS[item].label),
              '; ',
            ),
      figures: '',
    },
    {
      about: msg('Medicines'),
      says: medicines.length === 0 ? msg('None named') : list(medicines, ', '),
      figures: '',
    },
    ...limiting.map((clearance) => ({
      about: msg('Letter of {givenBy}', { givenBy: clearance.givenBy }),
      says: limitWords(clearance),
      figures: clearance.note,
    })),
  ];
}
