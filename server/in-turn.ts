/** Does one thing after the other, as each of them is heavy; one that fails does not hold up the next. */
export function inTurn(): <T>(task: () => Promise<T>) => Promise<T> {
  let last: Promise<unknown> = Promise.resolve();
  return (task) => {
    const done = last.then(task);
    last = done.catch(() => undefined);
    return done;
  };
}
