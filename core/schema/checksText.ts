import { CHECKS, type Check } from "../src/doors/judgeAnswers";

const SEVERITIES = { stop: "stop", warn: "look at", hint: "a thought" } as const;

const HEAD = `# The checks

What the product has to say against a plan, made from the checks themselves: \`npm run schema\` writes this page. Each is a
file in \`core/src/checks\`; a new one is a file like its neighbours and a line in \`list.ts\`. Figures are what coaches mostly
have (custom, unless a source is named) and a club's own under *Club, Figures*. Each has its cases in
\`core/test/checks/cases\`: those in which it speaks, and the nearest in which it does not; every figure moved by one
changes a case. What mends a finding is tried before it is offered: the finding goes, no stop comes, at most three, the
gentlest first. A *stop* concerns harm and locks nothing: the coach decides. These are judgement calls for people in general;
whoever treats an athlete, the venue and the governing body come first.
`;

/** docs/checks.md, generated from the checks. */
export function checksText(): string {
  return `${HEAD}\n${CHECKS.map(checkText).join("\n")}`;
}

function checkText({ code, name, severity, when, rests, figures }: Check): string {
  const rows = Object.entries(figures).map(
    ([key, { value, unit, least, most, words }]) =>
      `| \`${key}\` | ${words} | ${value} ${unit} | ${least} to ${most} |`,
  );
  const table =
    rows.length > 0 ? `\n| figure | what | usual | may be |\n|---|---|---|---|\n${rows.join("\n")}\n` : "";
  return `## ${name}\n\`${code}\`, ${SEVERITIES[severity]}. ${when}\n${rests}\n${table}`;
}
