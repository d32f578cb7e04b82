/** One line for the person at the terminal. */
export function say(text) {
  process.stdout.write(`${text}\n`);
}

/** A failure that has been foreseen: what happened, and what to do about it. */
export class Stop extends Error {
  constructor(what, todo) {
    super(what);
    this.todo = todo;
  }
}

/** Runs a script's main function; a failure is said in words and ends with code 1. */
export async function main(run) {
  try {
    await run();
  } catch (error) {
    process.exitCode = 1;
    process.stderr.write(`\n${error.message}\n`);
    const todo = error.todo ?? hintFor(error);
    if (todo) process.stderr.write(`${todo}\n`);
    else process.stderr.write(`${error.stack}\n`);
  }
}

/** What to do about the faults that a machine has of itself. */
export function hintFor(error) {
  const text = `${error.code ?? ""} ${error.message}`;
  if (/ENOSPC|No space left/.test(text))
    return "The disk is full. Free some space and start again; nothing saved was lost.";
  if (/EACCES|EPERM|Permission denied/.test(text)) {
    return `This user may not write there (${error.path ?? "see above"}). Start as the folder's owner, or give that user the folder.`;
  }
  return null;
}
