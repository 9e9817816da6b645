import { i18n } from '@lingui/core';

// Tests read the English that stands in the code.
i18n.loadAndActivate({ locale: 'en', messages: {} });
