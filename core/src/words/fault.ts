/** What is wrong with an input, where, and what to do about it. */
export interface Fault {
  /** From the outermost field in. */
  path: readonly (string | number)[];
  message: string;
}

/**
 * Where a fault is, as every answer writes it: fields and places from the outermost in, with dots between; empty for the
 * input as a whole.
 * @example pathText(["plan", "items", 2, "place"]) // "plan.items.2.place"
 */
export function pathText(path: readonly PropertyKey[]): string {
  return path.map(String).join(".");
}

/** A schema's check that adds the faults of a value whose fields hold by themselves. */
export function faultsIn<T>(faultsOf: (value: T) => readonly Fault[]) {
  return (ctx: { value: T; issues: object[] }): void => {
    if (ctx.issues.length > 0) return;
    for (const { path, message } of faultsOf(ctx.value))
      ctx.issues.push({ code: "custom", input: ctx.value, path: [...path], message });
  };
}
