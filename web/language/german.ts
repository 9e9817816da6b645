import type { Messages } from '@lingui/core';
import { setDefaultOptions } from 'date-fns';
import { de } from 'date-fns/locale/de';

setDefaultOptions({ locale: de });

const catalogues = import.meta.glob<Messages>('../words/{shared,contract,server,core/*}/de.po', {
  eager: true,
  import: 'messages',
});

/** What more than one view says, core and the server too, in German, by its id. */
export const messages: Messages = Object.assign({}, ...Object.values(catalogues));

/** What a view says, by where its catalogue lies. */
export const ofViews = import.meta.glob<Messages>('../words/views/*/de.po', { import: 'messages' });
