import { i18n } from '@lingui/core';

// Tests read the English that is in the code.
i18n.loadAndActivate({ locale: 'en', messages: {} });
