import { PassThrough } from "node:stream";
import type { FastifyReply, FastifyRequest } from "fastify";
import type { Change, Changes } from "./changes";

/** How often an open stream shows that it is alive, and asks whether it may still be open, milliseconds. */
const BEAT = 15_000;

export interface StreamOptions {
  clubId: string;
  /** Whether whoever listens is told of a change. */
  concerns(change: Change): boolean;
  /** Whether whoever listens may still do so: asked at every beat and when the club's members or links change. */
  mayStill(): Promise<boolean>;
}

/** Streams that are open on this server, to be ended before it stops. */
const open = new Set<PassThrough>();

/** Ends every open stream; those who listened come again, to another server if there is one. */
export function endStreams(): void {
  for (const stream of open) stream.end();
}

/**
 * Answers with a stream of server-sent events (HTML Living Standard, 9.2).
 * @param mayStill whether whoever listens may still do so: asked at every beat
 * @param begin is given what sends an event, and what ends the stream should that be needed; returns what it has to undo
 */
export function streamEvents(
  request: FastifyRequest,
  reply: FastifyReply,
  mayStill: () => Promise<boolean>,
  begin: (send: (data: unknown) => void, check: () => void) => () => void,
): FastifyReply {
  const stream = new PassThrough();
  const check = async () => {
    // While the database is away the answer is unknown: the next beat asks again.
    if (!(await mayStill().catch(() => true))) stream.end();
  };
  stream.write("retry: 2000\n\n");
  const undo = begin(
    (data) => stream.write(`data: ${JSON.stringify(data)}\n\n`),
    () => void check(),
  );
  const beat = setInterval(() => {
    stream.write(": still here\n\n");
    void check();
  }, BEAT);
  const end = () => {
    clearInterval(beat);
    undo();
    open.delete(stream);
    stream.end();
  };
  stream.on("close", end);
  request.raw.on("close", end);
  open.add(stream);
  return reply
    .header("content-type", "text/event-stream")
    .header("cache-control", "no-store")
    .header("x-accel-buffering", "no")
    .send(stream);
}

/** A stream with one event for each change that concerns the listener. It holds hints to read again and no contents. */
export function streamChanges(
  request: FastifyRequest,
  reply: FastifyReply,
  changes: Changes,
  { clubId, concerns, mayStill }: StreamOptions,
): FastifyReply {
  return streamEvents(request, reply, mayStill, (send, check) =>
    changes.subscribe(clubId, (change) => {
      if (change.topic === "club") check();
      if (concerns(change)) send({ topic: change.topic });
    }),
  );
}
