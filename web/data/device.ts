import { v4 as newId } from 'uuid';

const KEPT = 'nervato-device';

/** Id of this browser on this device, the same in all its tabs and after a reload: who runs a session (rule RUN-9). */
export const thisDevice: string = (() => {
  const known = localStorage.getItem(KEPT);
  if (known) return known;
  const made = newId();
  localStorage.setItem(KEPT, made);
  return made;
})();
