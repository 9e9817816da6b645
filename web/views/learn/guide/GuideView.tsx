import { t } from '@lingui/core/macro';
import type { ComponentProps } from 'react';
import Markdown from 'react-markdown';
import { Link, NavLink, useParams } from 'react-router';
import { language } from '../../../language/language';
import { guideIn, guideLink, pictureOf } from './pages';

/** The pages in the order of the work, and what is next to it. */
const ORDER = [
  ['README', t`Guide`],
  ['screen', t`Screen`],
  ['fit', t`Fit`],
  ['measure', t`Measure`],
  ['load', t`Load`],
  ['prescribe', t`Prescribe`],
  ['run', t`Run`],
  ['security', t`Security`],
] as const;

/** The guide for practitioners, a page a link of the chain, as it is in the project's own documents. */
export function GuideView() {
  const { page = 'README' } = useParams();
  const text = guideIn(language.get()).get(page);
  return (
    <div className="p-6">
      <nav aria-label={t`Pages of the guide`} className="flex flex-wrap gap-x-5 border-b border-rule">
        {ORDER.map(([name, words]) => (
          <NavLink
            key={name}
            to={name === 'README' ? '/guide' : `/guide/${name}`}
            end
            className="min-h-11 border-b-4 border-transparent py-2 aria-[current=page]:border-plum aria-[current=page]:font-semibold"
          >
            {words}
          </NavLink>
        ))}
      </nav>
      <article className="mt-5 max-w-3xl space-y-3 text-[17px]">
        {text === undefined ? (
          <p>{t`There is no such page.`}</p>
        ) : (
          <Markdown components={PARTS}>{text}</Markdown>
        )}
      </article>
    </div>
  );
}

/** Links of the guide stay in the app; what it does not ship is words alone. */
function GuideLink({ href = '', children }: ComponentProps<'a'>) {
  const to = guideLink(href);
  if (to === undefined) return <span>{children}</span>;
  return (
    <Link to={to === '/guide/README' ? '/guide' : to} className="underline underline-offset-4">
      {children}
    </Link>
  );
}

const PARTS: ComponentProps<typeof Markdown>['components'] = {
  h1: ({ children }) => <h1 className="text-3xl font-semibold">{children}</h1>,
  h2: ({ children }) => <h2 className="pt-3 text-2xl font-semibold">{children}</h2>,
  ul: ({ children }) => <ul className="list-disc space-y-1 pl-6">{children}</ul>,
  ol: ({ children }) => <ol className="list-decimal space-y-1 pl-6">{children}</ol>,
  code: ({ children }) => (
    <code className="figures rounded-sm border border-ink/40 px-1.5 text-[14px]">{children}</code>
  ),
  a: GuideLink,
  img: ({ src, alt }) => (
    <img src={pictureOf(String(src))} alt={alt ?? ''} className="w-full border border-rule" loading="lazy" />
  ),
};
