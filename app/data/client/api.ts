import { ERROR_CODES, type ErrorCode, HEADERS } from "@tonodrome/core/api";
import { isRecord } from "~/data/device/storage";
import { PATIENCE_MS } from "~/early/asks";
import { type AnswerName, type AnswerOf, bodyFrom, ChecksMissing, checked } from "./answers";
import { type Asked, askedNow, hearServerTime } from "./clock";
import { takeEarly } from "./early";
import { heard } from "./reach";
import { hearRelease, SAYS } from "./release";

/** A request that did not do what was asked, in words for the person. */
export class ApiFailure extends Error {
  constructor(
    /** The server's code, or "unreachable" when there was no answer at all. */
    readonly code: ErrorCode | "unreachable",
    message: string,
    readonly path: string | null = null,
    readonly current: unknown = undefined,
    /** With a conflict: who saved that. */
    readonly by: string | null = null,
  ) {
    super(message);
  }
}

let signedOut = (): void => undefined;

/** What is to happen when the server no longer knows who asks. */
export function whenSignedOut(act: () => void): void {
  signedOut = act;
}

/** How something is asked. */
export interface Asking {
  /** Longest wait for an answer, milliseconds. */
  patience?: number;
  /** Taken as it comes while the checks of answers are not loaded: for what the first page opens with. */
  atSight?: boolean;
}

/**
 * Asks the server and checks the answer's shape.
 * @param name what the answer is, as its schema is called
 * @throws ApiFailure always with a sentence to show
 */
export function ask<Name extends AnswerName>(
  name: Name,
  method: "GET" | "POST" | "PUT" | "DELETE",
  path: string,
  body?: unknown,
  how: Asking = {},
): Promise<AnswerOf<Name>> {
  const sent =
    body === undefined ? {} : { body: JSON.stringify(body), headers: { "content-type": "application/json" } };
  return request(name, path, { method, ...sent }, how);
}

/**
 * Sends a file as it is, read by the browser as it goes: a large one is never in memory as a whole.
 * @param patience longest wait for an answer, milliseconds
 * @throws ApiFailure always with a sentence to show
 */
export function sendFile<Name extends AnswerName>(
  name: Name,
  path: string,
  file: Blob,
  patience: number,
): Promise<AnswerOf<Name>> {
  const headers = { "content-type": "application/x-ndjson" };
  return request(name, path, { method: "POST", body: file, headers }, { patience });
}

async function request<Name extends AnswerName>(
  name: Name,
  path: string,
  init: RequestInit,
  { patience = PATIENCE_MS, atSight = false }: Asking,
): Promise<AnswerOf<Name>> {
  const asked = askedNow();
  const early = init.method === "GET" ? takeEarly(path) : null;
  const answer = await (early ??
    fetch(`/api${path}`, {
      ...init,
      headers: { ...SAYS, ...init.headers },
      signal: AbortSignal.timeout(patience),
    }).catch(() => null));
  // What was asked early says what the time was then.
  if (!early) hearTime(answer, asked);
  hearRelease(answer?.headers);
  const data: unknown = await answer?.json().catch(() => null);
  heard(answer !== null && data !== null && data !== undefined);
  if (!answer || data === null || data === undefined) throw unreachable();
  if (!answer.ok) {
    const failure = failureOf(data, answer.status);
    if (failure.code === "signed_out") signedOut();
    throw failure;
  }
  return here(checked(name, data, atSight));
}

/** What has to be loaded first: where it cannot be, the server cannot be reached. */
async function here<T>(loaded: Promise<T>): Promise<T> {
  return loaded.catch((error: unknown) => {
    throw error instanceof ChecksMissing ? unreachable() : error;
  });
}

/**
 * The body of a write, made from the write's own schema.
 * @throws ApiFailure when the schemas cannot be loaded
 */
export const bodyOf: typeof bodyFrom = (name, from) => here(bodyFrom(name, from));

/**
 * Asks what the time is, and nothing else.
 * @throws ApiFailure when there is no answer
 */
export async function askTime(): Promise<void> {
  const asked = askedNow();
  const answer = await fetch("/health", { signal: AbortSignal.timeout(PATIENCE_MS) }).catch(() => null);
  heard(answer !== null);
  if (!answer) throw unreachable();
  hearTime(answer, asked);
}

/** What time an answer says that it is: to the millisecond, or by its date. */
function hearTime(answer: Response | null, asked: Asked): void {
  hearServerTime(answer?.headers?.get(HEADERS.time) ?? answer?.headers?.get("date") ?? null, asked);
}

function unreachable(): ApiFailure {
  return new ApiFailure(
    "unreachable",
    "The server cannot be reached. What you have here is kept; try again in a moment.",
  );
}

/** Codes that are known here; a later server may have others. */
const CODES: ReadonlySet<string> = new Set(ERROR_CODES);

/** What a refusal comes to that is not known here, by its status. */
function codeOf(code: string, status = 500): ErrorCode {
  if (CODES.has(code)) return code as ErrorCode;
  if (status === 401) return "signed_out";
  if (status === 403) return "forbidden";
  if (status === 404 || status === 410) return "not_found";
  if (status === 408 || status === 429) return "too_many";
  return status >= 400 && status < 500 ? "invalid_input" : "internal";
}

/** A refusal in the one shape that all have, with whatever a later server adds to it. */
function failureOf(data: unknown, status: number | undefined): ApiFailure {
  if (!isRecord(data) || typeof data.code !== "string" || typeof data.message !== "string")
    return new ApiFailure(
      "internal",
      "The server answered in a way this application does not know. Nothing was lost.",
    );
  const { code, message, path, current, by } = data;
  const text = (value: unknown) => (typeof value === "string" ? value : null);
  return new ApiFailure(codeOf(code, status), message as string, text(path), current, text(by));
}
