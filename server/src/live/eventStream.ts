import { PassThrough } from "node:stream";
import type { FastifyReply, FastifyRequest } from "fastify";
import { machineOf } from "../access/machine";
import { Refusal } from "../errors/refusal";
import type { Change, Changes } from "./changes";

/** How often an open stream shows that it is alive, and asks whether it may still be open, milliseconds. */
const BEAT = 15_000;

/** Most streams open on one server, for one person, and for one machine where nobody is signed in. Custom. */
const MOST = { server: 5_000, person: 30, machine: 200 };

/** What a listener does not read is kept for it up to so many bytes; then it has to come again. */
const MOST_UNREAD = 65_536;

/** What a stream tells, and to whom. */
export interface StreamOptions {
  clubId: string;
  /** Whether whoever listens may still do so: asked at every beat and when the club's members or links change. */
  mayStill(): Promise<boolean>;
  /**
   * What is done while it is open.
   * @param send sends an event
   * @returns what it has to undo
   */
  begin?(send: (data: unknown) => void): () => void;
  /** What is told of a change in the club; null for nothing. */
  tell?(change: Change): unknown;
}

/** Streams that are open on this server, each with whose it is, to be counted and ended. */
const open = new Map<PassThrough, string>();

/** Ends every open stream; those who listened come again, to another server if there is one. */
export function endStreams(): void {
  for (const stream of open.keys()) stream.end();
}

/** @throws Refusal `too_many` */
function checkQuota(request: FastifyRequest): string {
  const { session } = request;
  const whose = session?.userId ?? machineOf(request.ip);
  const most = session ? MOST.person : MOST.machine;
  const own = [...open.values()].filter((w) => w === whose).length;
  if (own >= most || open.size >= MOST.server) {
    throw new Refusal(
      "too_many",
      "Too many pages follow along from here. Close some, and try again.",
      {},
      60,
    );
  }
  return whose;
}

/**
 * Answers with a stream of server-sent events (HTML Living Standard, 9.2) about a club. It ends when whoever listens may
 * no longer: that is asked at every beat and whenever who is in the club, or a link, changes.
 * @throws Refusal `too_many`
 */
export function streamEvents(
  request: FastifyRequest,
  reply: FastifyReply,
  changes: Changes,
  { clubId, mayStill, begin, tell }: StreamOptions,
): FastifyReply {
  const whose = checkQuota(request);
  const stream = new PassThrough();
  const check = async () => {
    // While the database is away the answer is unknown: the next beat asks again.
    if (!(await mayStill().catch(() => true))) stream.end();
  };
  const send = (data: unknown) => {
    if (stream.writableEnded) return;
    if (stream.readableLength > MOST_UNREAD) stream.end();
    else stream.write(`data: ${JSON.stringify(data)}\n\n`);
  };
  stream.write("retry: 2000\n\n");
  const undo = begin?.(send);
  const unsubscribe = changes.subscribe(clubId, (change) => {
    if (change.topic === "club") void check();
    const news = tell?.(change) ?? null;
    if (news !== null) send(news);
  });
  // Whoever listens comes again at once, and reads what it may have missed.
  const unmissed = changes.whenMissed(() => stream.end());
  const beat = setInterval(() => {
    if (!stream.writableEnded) stream.write(": still here\n\n");
    void check();
  }, BEAT);
  const end = () => {
    clearInterval(beat);
    unsubscribe();
    unmissed();
    undo?.();
    open.delete(stream);
    stream.end();
  };
  stream.on("close", end);
  request.raw.on("close", end);
  open.set(stream, whose);
  return reply
    .header("content-type", "text/event-stream")
    .header("cache-control", "no-store")
    .header("x-accel-buffering", "no")
    .send(stream);
}
