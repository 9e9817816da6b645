import type { Messages } from '@lingui/core';
import { setDefaultOptions } from 'date-fns';
import { de } from 'date-fns/locale/de';
import { GERMAN_SMALL_WORDS } from './german-small-words';
import { type Pair, speakWith } from './told';

setDefaultOptions({ locale: de });

const catalogues = import.meta.glob<Messages>('../words/{shared,views/*}/de.po', {
  eager: true,
  import: 'messages',
});
const ofCore = import.meta.glob<Pair[]>('../words/{core/*,contract,server}/de.po', {
  eager: true,
  query: '?pairs',
  import: 'default',
});

speakWith([...Object.values(ofCore).flat(), ...GERMAN_SMALL_WORDS], {
  joints: { ' and ': ' und ', ' or ': ' oder ' },
  decimals: (figure) => figure.replace(/[.,]/g, (mark) => (mark === '.' ? ',' : '.')),
});

/** Every sentence of the interface in German, by the English it stands for. */
export const messages: Messages = Object.assign({}, ...Object.values(catalogues));
