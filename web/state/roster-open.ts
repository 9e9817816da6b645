import { store } from './store';

// On a tablet the sheet needs the width; the roster is one touch away. On a phone it lies over the sheet, and closes once a person
// is chosen.
const ROOMY_PX = 1000;
const PHONE_PX = 640;

export const isPhone = (): boolean => window.innerWidth < PHONE_PX;

/** Whether the people of the practice are shown beside the sheet. */
export const rosterOpen = store(window.innerWidth >= ROOMY_PX);

// A window that becomes as narrow as a phone would be covered by it, a session that runs as well.
window.matchMedia(`(width < ${PHONE_PX}px)`).addEventListener('change', ({ matches }) => {
  if (matches) rosterOpen.set(false);
});
