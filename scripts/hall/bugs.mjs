// Bugs that stood in the application before there was a hall, to be put back one at a time: the hall has to find them.
// `npm run hall -- --bugs` says after how many courses it does.

const EDITS = "app/data/starts/startEdits.ts";
const FOLLOW = "app/data/runs/follow.ts";
const MOVES = "app/data/starts/moves.ts";
const OUTBOX = "app/data/outbox/outbox.ts";
const OWNER = "app/data/outbox/owner.ts";

export const BUGS = [
  {
    what: "a start is sent back with what only answers carry",
    file: EDITS,
    edits: [
      [
        'bodyOf("startWrite", { ...start, athleteId: start.athlete.id, ...changes })',
        "Promise.resolve({ ...start, athleteId: start.athlete.id, ...changes })",
      ],
    ],
  },
  {
    what: "whoever hears of a move records it",
    file: FOLLOW,
    edits: [
      [
        'import { adoptPresses, adoptRun } from "./press";',
        'import { adoptPresses, adoptRun, pressRun } from "./press";',
      ],
      [
        "if (kept) hearMove(id, heardMove(kept, start, readAt));",
        'const m = kept && heardMove(kept, start, readAt); if (m) pressRun(id, { kind: "start-moved", startsAt: m.startsAt });',
      ],
    ],
  },
  {
    what: "moves pressed while one is sent are dropped",
    file: MOVES,
    edits: [
      [
        "  say(id, null);\n  moves.change(id, (now) => {",
        "  if (moves.isSending(id)) return;\n  moves.change(id, (now) => {",
      ],
    ],
  },
  {
    what: "the second press of a move replaces the first",
    file: MOVES,
    edits: [["!move || sameTime(move.startsAt, start.startsAt)", "true"]],
  },
  {
    what: "what one person made is shown to and sent by the next",
    file: OWNER,
    edits: [["owner.id === ownerNow()?.id", "true"]],
  },
  {
    what: "edits of a start are kept in memory only",
    file: OUTBOX,
    edits: [["if (kept) keeps = keep(", 'if (kept && kind.prefix !== "draft:start-") keeps = keep(']],
  },
  {
    what: "after no answer nothing is sent again",
    file: OUTBOX,
    edits: [["      wait(key, kind.retry);\n      return;", "      return;"]],
  },
  {
    what: "a follower skips a press",
    file: FOLLOW,
    edits: [["read.set(id, last);", "read.set(id, last + 1);"]],
  },
  {
    what: "what was refused is sent again at once, for ever",
    file: OUTBOX,
    edits: [
      [
        "if (isFinal || OF_WHO.has(code)) return;",
        "if (isFinal || OF_WHO.has(code)) return wait(key, 100), noteFailure(key, null);",
      ],
    ],
  },
];
