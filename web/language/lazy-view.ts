import { type ComponentType, type LazyExoticComponent, lazy } from 'react';
import { speakOf, type ViewFolder } from './language';

/**
 * A view that is fetched when it is first shown, after what it says.
 * @param name the name under which its module exports it
 * @param folders whose messages it shows
 */
// biome-ignore lint/suspicious/noExplicitAny: as in React's own lazy, a view has whatever props it has
export const lazyView = <N extends string, M extends Record<N, ComponentType<any>>>(
  load: () => Promise<M>,
  name: N,
  ...folders: readonly ViewFolder[]
): LazyExoticComponent<M[N]> =>
  lazy(async () => {
    await speakOf(...folders);
    return { default: (await load())[name] };
  });
