import { hashOf } from "./hash";

/** Makes ids (UUIDs) that are the same whenever the same text is given, and all different: for programs that answer the same to the same. */
export function idsFrom(text: string): () => string {
  let n = 0;
  return () => {
    n++;
    const [a, b, c, d] = ["a", "b", "c", "d"].map((salt) => hashOf(`${salt} ${n} ${text}`)) as [
      string,
      string,
      string,
      string,
    ];
    return `${a}-${b.slice(0, 4)}-4${b.slice(5)}-8${c.slice(1, 4)}-${c.slice(4)}${d}`;
  };
}
