import { useMutation, useQueryClient } from '@tanstack/react-query';
import { type DefaultValues, type FieldValues, type Path, useForm } from 'react-hook-form';
import type { z } from 'zod';
import type { PracticeView } from '#contract/practice';
import { fieldProblem } from '../../data/api';
import { KEYS } from '../../data/keys';
import { schemaResolver } from './schema-resolver';

type Options<Typed extends FieldValues, Entry> = {
  /** What judges the fields as they are typed. */
  schema: z.ZodType<Typed>;
  /** What the fields hold at first. */
  values: Typed;
  /** What is sent, made of what was typed. */
  entryOf: (typed: Typed) => Entry;
  /** Sends it. @returns the practice with it */
  send: (entry: Entry) => Promise<PracticeView>;
  done: () => void;
};

/** A form for something that a practice has of its own, such as an exercise or a measure: its fields, and saving it. */
export function usePracticeEntry<Typed extends FieldValues, Entry>({
  schema,
  values,
  entryOf,
  send,
  done,
}: Options<Typed, Entry>) {
  const queries = useQueryClient();
  const { register, handleSubmit, watch, setValue, formState } = useForm<Typed, unknown, Typed>({
    resolver: schemaResolver<Typed, Typed>(schema),
    defaultValues: values as DefaultValues<Typed>,
  });
  const { mutate, error, isPending } = useMutation({
    mutationFn: send,
    onSuccess: async (practice) => {
      queries.setQueryData(KEYS.practice, practice);
      // Records carry what is the practice's own with them.
      await queries.invalidateQueries({ queryKey: ['client'] });
      done();
    },
  });
  return {
    register,
    setValue,
    values: watch(),
    error,
    isPending,
    submit: handleSubmit((typed) => mutate(entryOf(typed))),
    /** What is wrong with a field: as it is typed, or as the server says. */
    problem: (field: Path<Typed>): string | undefined => {
      const { message } = (formState.errors[field] ?? {}) as { message?: string };
      return message ?? fieldProblem(error, field);
    },
  };
}
