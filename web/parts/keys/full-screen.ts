/** The page over the whole screen, or back; browsers that cannot are left as they are. */
export function toggleFullScreen(): void {
  if (document.fullscreenElement) void document.exitFullscreen();
  else void document.documentElement.requestFullscreen?.().catch(() => {});
}
