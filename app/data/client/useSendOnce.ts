import { useRef } from "react";
import { v4 as uuid } from "uuid";

/**
 * Gives what is to be made an id, the same one for the same input until it is made: what is sent again, because no answer
 * came, is made once.
 * @returns `withId` for what is sent, and `made` for when it is there, so that the next is another
 */
export function useSendOnce<T extends object>() {
  const last = useRef<{ id: string; text: string } | null>(null);
  return {
    withId(input: T): T & { id: string } {
      const text = JSON.stringify(input);
      if (last.current?.text !== text) last.current = { id: uuid(), text };
      return { ...input, id: last.current.id };
    },
    made(): void {
      last.current = null;
    },
  };
}
