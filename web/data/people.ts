import { keepPreviousData, type QueryClient, useQueries, useQuery } from '@tanstack/react-query';
import { useDeferredValue, useState } from 'react';
import type { ClientSummary, PeoplePage } from '#contract/client';
import { PAGE_OF_PEOPLE } from '#contract/pages';
import { api, read } from './api';
import { KEYS } from './keys';

/** The people of the practice as far as they are in view. */
export type People = {
  /** How many there are in all; undefined until the first page is read. */
  total: number | undefined;
  /** The line at a place of the list; undefined while its page is being read. */
  at: (place: number) => ClientSummary | undefined;
  /** The first so many, as far as they are read. */
  upTo: (count: number) => ClientSummary[];
  /** Whether this is what the search finds, and not what the one before found. */
  isSettled: boolean;
  isError: boolean;
};

/** A page of the roster. */
export const peopleQuery = (search: string, page: number) => ({
  queryKey: KEYS.people(search, page),
  queryFn: () => read<PeoplePage>(api.clients.$get({ query: { search, page: String(page) } })),
});

/** People by name, or those a search finds; only the pages with the lines `first` to `last` are asked for, and the first. */
export function usePeople(search: string, { first, last }: { first: number; last: number }): People {
  const [from, to] = [Math.floor(first / PAGE_OF_PEOPLE), Math.floor(last / PAGE_OF_PEOPLE)];
  const inView = Array.from({ length: to - from + 1 }, (_, place) => from + place);
  // The first says how many there are in all, whatever is in view; while a search is typed it stays until the next is there.
  const pages = [0, ...inView.filter((page) => page > 0)];
  const answers = useQueries({
    queries: pages.map((page) => ({
      ...peopleQuery(search, page),
      ...(page === 0 ? { placeholderData: keepPreviousData } : {}),
    })),
  });
  const at = (place: number) =>
    answers[pages.indexOf(Math.floor(place / PAGE_OF_PEOPLE))]?.data?.people[place % PAGE_OF_PEOPLE];
  return {
    total: answers[0]?.data?.total,
    at,
    upTo: (count) =>
      Array.from({ length: count }, (_, place) => at(place)).filter((person) => person !== undefined),
    isSettled: answers[0]?.data !== undefined && !answers[0].isPlaceholderData,
    isError: answers.some(({ isError }) => isError),
  };
}

/**
 * Who is concerned today: of a practice of one page everyone, of a larger one who trains at present or is new.
 * @returns `people` undefined until known
 */
export function useTodaysPeople(): { people: readonly ClientSummary[] | undefined; isMany: boolean } {
  const { total = 0, upTo } = usePeople('', { first: 0, last: 0 });
  const isMany = total > PAGE_OF_PEOPLE;
  const { data } = useQuery({
    queryKey: KEYS.today,
    queryFn: () => read<PeoplePage>(api.clients.today.$get()),
    enabled: isMany,
  });
  if (isMany) return { people: data?.people, isMany };
  return { people: upTo(total), isMany };
}

// As many as one looks over at a glance; more are searched.
const SEARCH_FROM = 12;

/** People as a list shows them: those in view, and from a dozen on those that its search finds. */
export function usePeopleList() {
  const [search, setSearch] = useState('');
  const [inView, setInView] = useState({ first: 0, last: 0 });
  const sought = useDeferredValue(search.trim());
  const { total: found, at, isSettled, isError } = usePeople(sought, inView);
  const total = found ?? 0;
  return {
    search,
    setSearch,
    setInView,
    total,
    at,
    isError,
    /** Whether the lines are what was typed last finds, and not what the letters before found. */
    isSettled: isSettled && sought === search.trim(),
    /** Whether anything is known of the list yet. */
    isRead: found !== undefined,
    // Until it is known how many there are, its place is kept.
    isSearched: found === undefined || total >= SEARCH_FROM || search !== '',
  };
}

/** Puts what a line says now where it is shown; the list is not asked for again for it. */
export function putLine(queries: QueryClient, line: ClientSummary): void {
  queries.setQueriesData<PeoplePage>({ queryKey: KEYS.roster }, (page) => {
    if (!page?.people.some(({ id }) => id === line.id)) return page;
    return { ...page, people: page.people.map((known) => (known.id === line.id ? line : known)) };
  });
  // Who comes back after long was not among today's people.
  const today = queries.getQueryData<PeoplePage>(KEYS.today);
  if (today && !today.people.some(({ id }) => id === line.id)) {
    void queries.invalidateQueries({ queryKey: KEYS.today });
  }
}
