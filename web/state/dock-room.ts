const KEPT = 'nervato-dock-px';

/**
 * How high the cuff dock was while this page was last open, in px; 0 where no cuff was up. A page that loads leaves that
 * room, so that nothing moves from beneath a finger once the dock is there.
 */
export const dockRoomPx = (): number => Number(sessionStorage.getItem(KEPT)) || 0;

export function keepDockRoom(px: number): void {
  if (px > 0) sessionStorage.setItem(KEPT, String(Math.round(px)));
  else sessionStorage.removeItem(KEPT);
}
