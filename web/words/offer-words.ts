import { t } from '@lingui/core/macro';
import type { Offer } from '#core/session';

/** What an offer would change: "loosen by 10 mmHg", "rest 45 s from now on". */
export function offerWords(offer: Offer, massWords: (kg: number) => string): string {
  switch (offer.kind) {
    case 'loosen':
      return t`loosen by ${offer.byMmHg} mmHg`;
    case 'loosen-mark':
      return offer.byMarks === 1
        ? t`loosen by one mark or turn`
        : t`loosen by ${offer.byMarks} marks or turns`;
    case 'rest':
      return t`rest ${offer.restMs / 1000} s from now on`;
    case 'lighten':
      return t`go on with ${massWords(offer.loadKg)}`;
  }
}
