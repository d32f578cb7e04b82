import { type Change, TOPICS } from "@tonodrome/core/api";
import { isRecord } from "~/data/device/storage";

/** A stream that was refused is asked for again after this long, milliseconds: the server may only be starting. */
const RETRY_MS = 10_000;

/** A stream that takes longer to open comes too late for what changed since the page was read, milliseconds. Custom. */
const QUICK_MS = 1_000;

/** A change, where what was sent is one that is understood here. */
function changeIn(sent: unknown): Change | null {
  if (!isRecord(sent) || !TOPICS.some((topic) => topic === sent.topic)) return null;
  return sent.id === undefined || typeof sent.id === "string" ? (sent as Change) : null;
}

/**
 * Listens to a stream of changes while the page is in sight, and tells of each. A page that comes back into sight, or
 * whose stream was broken or took long to open, may have missed some: it is told so.
 * @returns what ends it
 */
export function followChanges(
  path: string,
  onChange: (change: Change) => void,
  onMissed: () => void,
): () => void {
  let stream: EventSource | null = null;
  let isFirst = true;
  let timer: ReturnType<typeof setTimeout> | undefined;
  // A browser keeps few connections to one address: pages nobody looks at hold none.
  const follow = () => {
    const isSeen = document.visibilityState === "visible";
    if (isSeen === (stream !== null)) return;
    clearTimeout(timer);
    stream?.close();
    stream = isSeen ? open() : null;
  };
  const open = () => {
    const fresh = new EventSource(`/api${path}`);
    const asked = performance.now();
    fresh.onopen = () => {
      if (!isFirst || performance.now() - asked > QUICK_MS) onMissed();
      isFirst = false;
    };
    fresh.onmessage = ({ data }) => {
      const news = changeIn(JSON.parse(data));
      if (news) onChange(news);
    };
    fresh.onerror = () => {
      // The browser itself comes back to a stream that broke, but not to one that was refused.
      if (fresh.readyState !== EventSource.CLOSED) return;
      onMissed();
      stream = null;
      timer = setTimeout(follow, RETRY_MS);
    };
    return fresh;
  };
  follow();
  document.addEventListener("visibilitychange", follow);
  return () => {
    document.removeEventListener("visibilitychange", follow);
    clearTimeout(timer);
    stream?.close();
  };
}
