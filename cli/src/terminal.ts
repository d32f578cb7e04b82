/** What of the process the commands use. */
export interface Terminal {
  stdout: { write: (text: string | Uint8Array) => unknown };
  stderr: { write: (text: string) => unknown };
}

/** What of the options a command uses. */
export type Options = Partial<Record<string, string | boolean>>;
