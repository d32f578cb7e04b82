const write = "server/src/write/writeVersioned.ts";
const answer = "server/src/errors/answerError.ts";
const starts = "server/src/resources/starts.ts";
const shares = "server/src/resources/shares.ts";
const session = "server/src/access/session/session.ts";
const in_ = (...names) => `server/test/(${names.join("|")})`;

/** The server: each with the tests that are to notice, because all of them take minutes. */
export default {
  project: "server",
  tests: in_("errors"),
  mutants: [
    ["an old version is refused", write, "if (row.version === against)", "if (true)", in_("conflicts")],
    ["the same edit sent again counts", write, "isSame(row, before)", "false", in_("conflicts")],
    ["only the same", write, "&& isSame(row, before)", "", in_("conflicts")],
    ["a refused edit is kept", write, "await keepRefused?.(row);", "", in_("conflicts", "starts-and-plans", "audit")],
    ["a row is locked", write, "lock: true", "lock: false", in_("conflicts")],
    ["what is not there is not found", write, "if (!row) throw notFound(what);", "if (!row) throw new Error(what);", in_("drills", "starts-and-plans", "building")],
    ["a deadlock is no fault", answer, '"40P01", ', "", in_("errors")],
    ["a lock not got in time", answer, '"55P03", ', "", in_("errors")],
    ["a database that is away", answer, "if (error instanceof ConnectionError) return true;", "", in_("errors")],
    ["what was deleted meanwhile", answer, 'if (state === FOREIGN_KEY_VIOLATION)', "if (false)", in_("errors")],
    ["what nobody foresaw is noted", answer, 'request.log.error({ err: error }, "unexpected error")', "undefined", in_("errors")],
    ["after how long to ask again", answer, 'void reply.header("retry-after", refusal.retryAfter)', "undefined", in_("errors")],
    ["an old version says what stands", "server/src/errors/refusal.ts", '{ path: "version", current }', '{ path: "version" }', in_("conflicts")],
    ["an import tells every kind of change", "server/src/resources/clubFile.ts", "topicSchema.options", "topicSchema.options.slice(1)", in_("operation")],
    ["a changed day is named", starts, 'changed.push("setting")', "changed.push()", in_("audit")],
    ["another athlete is named", starts, '["athlete", ...changed]', "changed", in_("audit")],
    ["an athlete sees their own starts", starts, "{ athleteId: onlyAthlete }", "{}", in_("access", "rights", "accounts")],
    ["a start is the club's", starts, "models.Start.findOne({ where: { id, clubId }, ...locked })", "models.Start.findOne({ where: { id }, ...locked })", in_("access", "starts-and-plans")],
    ["a drill is the club's", "server/src/resources/drills.ts", "models.Drill.findOne({ where: { id, clubId }, ...locked })", "models.Drill.findOne({ where: { id }, ...locked })", in_("access", "drills")],
    ["an athlete is the club's", "server/src/resources/athletes.ts", "models.Athlete.findOne({ where: { id, clubId }, ...locked })", "models.Athlete.findOne({ where: { id }, ...locked })", in_("access", "building")],
    ["events named are the club's", "server/src/resources/events.ts", "if (found < wanted.length)", "if (false)", in_("building", "starts-and-plans")],
    ["alternatives may not go round", "server/src/resources/drills.ts", "  if (fault)\n    throw new Refusal", "  if (false)\n    throw new Refusal", in_("drills", "building")],
    ["a share hears of its one start", shares, "(id === startId || id === undefined)", "true", in_("shares")],
    ["a share hears no more than it shows", shares, '            ? { topic }\n', "            ? { topic, id }\n", in_("shares", "operation")],
    ["a withdrawn link shows nothing", shares, "found.withdrawnAt\n", "null\n", in_("shares")],
    ["an expired link shows nothing", shares, ": until <= found.now", ": false", in_("shares")],
    ["a shared run keeps what is the coach's own", shares, "all.filter((e) => !OWN.has(e.kind))", "all", in_("shares")],
    ["a shared run that is over is not shown", shares, "if (isRunOver(", "if (false && isRunOver(", in_("shares")],
    ["a session that is over lets nobody in", session, "AND s.expires_at > now()`;", "`;", in_("accounts")],
    ["old sessions are cleared", session, 'await ask("DELETE FROM sessions WHERE user_id = $1 AND expires_at < now()", [userId]);', "", in_("accounts")],
    ["new accounts are counted", "server/src/access/limits.ts", "makeAccount: (ip) => take(accounts,", "makeAccount: (ip) => take(joins,", in_("limits")],
    ["guesses are counted", "server/src/access/limits.ts", "await take(limiter, whose, \"tries to sign in that failed\");", "", in_("limits")],
    ["earlier versions of a warm-up go after so many", "server/src/resources/plans.ts", 'await forgetOldest(clubId, id, "saved", transaction);', "", in_("bounds", "conflicts", "starts-and-plans", "hostile")],
  ],
};
