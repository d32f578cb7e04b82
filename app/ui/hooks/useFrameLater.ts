import { useEffect, useState } from "react";
import { useAfterPaint } from "./useAfterPaint";

/** A value, one frame later: for what is drawn when that which matters more is on the screen. */
export function useFrameLater<T>(value: T): T {
  const [late, setLate] = useState(() => value);
  const follow = useAfterPaint((next: T) => setLate(() => next));
  useEffect(() => follow(value), [follow, value]);
  return late;
}
