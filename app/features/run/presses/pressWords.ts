import type { RunEvent } from "@tonodrome/core";

/** What a press was, as it stands in the list of those that can be taken back. */
export function pressWords(event: RunEvent): string {
  switch (event.kind) {
    case "done":
      return "done";
    case "skip":
      return "skipped";
    case "extend":
      return `${event.seconds} s more`;
    case "hold":
      return "hold";
    case "release":
      return "resume";
    case "back":
      return "back";
    case "jump":
      return "jump";
    case "insert":
      return `insert ${event.drill.name}`;
    case "refit":
      return `plan adjusted. ${event.line}`;
    case "hit":
    case "miss":
      return event.kind;
    default:
      return event.kind;
  }
}
