import {
  type DefaultValues,
  type FieldError,
  type FieldValues,
  get,
  type Path,
  type Resolver,
  useForm,
} from 'react-hook-form';
import { fieldProblem } from '../data/api';

/**
 * The fields of a form whose words are sent: what was typed, and beneath each field what is wrong with it, before it is sent by
 * the resolver and after by the server.
 * @param typed what stands in them at first
 * @param error what the server said last
 */
export function useFields<T extends FieldValues>(
  typed: DefaultValues<T>,
  error: unknown,
  resolver?: Resolver<T>,
) {
  const form = useForm<T>({ defaultValues: typed, ...(resolver && { resolver }) });
  const { errors } = form.formState;
  return {
    typed: form.watch(),
    set: form.setValue,
    empty: () => form.reset(),
    /** For a `Field`: what is typed in it and what is wrong with it. @param path where the server has it, if not there */
    field: (name: Path<T>, path: string = name) => ({
      ...form.register(name),
      error: (get(errors, name) as FieldError | undefined)?.message ?? fieldProblem(error, path),
    }),
    /** For a `form`. */
    send: (then: (values: T) => void) => ({ noValidate: true, onSubmit: form.handleSubmit(then) }),
  };
}
