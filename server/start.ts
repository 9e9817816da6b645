import { Unusable } from './backup/database-file';

/** Starts a program; what the user can correct is said in words, without where in the code it was found. */
export async function start(program: () => Promise<void>): Promise<void> {
  try {
    await program();
  } catch (error) {
    if (!(error instanceof Unusable)) throw error;
    console.error(error.message);
    process.exit(1);
  }
}
