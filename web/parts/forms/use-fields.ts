import {
  type DefaultValues,
  type FieldError,
  type FieldErrors,
  type FieldValues,
  get,
  type Path,
  type PathValue,
  type Resolver,
  set as setAt,
  useForm,
} from 'react-hook-form';
import { fieldProblem } from '../../data/api';

/** What is wrong with what was typed, by the field it is at. */
export type Wrong<T extends FieldValues> = { [name in Path<T>]?: string | undefined };
/** What becomes of what was typed: what is sent, or what is wrong with it. */
export type Reading<T extends FieldValues, V> = { sent: V } | { wrong: Wrong<T> };

/** A resolver by a function that reads what was typed. */
export const reads =
  <T extends FieldValues, V>(read: (typed: T) => Reading<T, V>): Resolver<T, unknown, V> =>
  (typed) => {
    const reading = read(typed);
    if ('sent' in reading) return { values: reading.sent, errors: {} };
    const errors: FieldErrors<T> = {};
    for (const [name, message] of Object.entries(reading.wrong)) {
      if (message !== undefined) setAt(errors, name, { type: 'reading', message });
    }
    return { values: {}, errors };
  };

/**
 * The fields of a form whose words are sent: what was typed, and beneath each field what is wrong with it, before it is sent by
 * the resolver and after by the server.
 * @param typed what is in them at first
 * @param error what the server said last
 */
export function useFields<T extends FieldValues, V = T>(
  typed: DefaultValues<T>,
  error: unknown,
  resolver?: Resolver<T, unknown, V>,
) {
  const form = useForm<T, unknown, V>({ defaultValues: typed, ...(resolver && { resolver }) });
  const { errors, isSubmitted } = form.formState;
  /** What is wrong with a field that is no input of its own. @param path where the server has it, if not there */
  const problem = (name: Path<T>, path: string = name): string | undefined =>
    (get(errors, name) as FieldError | undefined)?.message ?? fieldProblem(error, path);
  return {
    typed: form.watch(),
    set: <P extends Path<T>>(name: P, value: PathValue<T, P>) =>
      form.setValue(name, value, { shouldValidate: isSubmitted }),
    empty: () => form.reset(),
    problem,
    /** For a `Field`: what is typed in it and what is wrong with it. */
    field: (name: Path<T>, path?: string) => ({ ...form.register(name), error: problem(name, path) }),
    /** For a `form`. */
    send: (then: (sent: V) => void) => ({
      noValidate: true,
      onSubmit: form.handleSubmit(then, (_, event) => showFirstProblem(event?.target)),
    }),
  };
}

/** Brings the first thing that is wrong into sight, once it is drawn: it may be above what is seen of a long form. */
const showFirstProblem = (form: unknown): void => {
  requestAnimationFrame(() => {
    if (form instanceof HTMLFormElement)
      form.querySelector('[role="alert"]')?.scrollIntoView({ block: 'center' });
  });
};
