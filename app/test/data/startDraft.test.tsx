import { QueryClient } from "@tanstack/react-query";
import { act, renderHook } from "@testing-library/react-native";
import type { Start, StartWrite } from "@tonodrome/core/api";
import { signedInAs } from "~/data/account/account";
import { useStartDraft } from "~/data/starts/useStartDraft";
import { makeMe } from "~/test/made/makeMe";
import { makeStart } from "~/test/made/makeStart";
import { withClient } from "~/test/made/withClient";

/** The start as the server has it. */
let truth: Start;
let sent: StartWrite[];
let isUp: boolean;
let made = 0;

const fields = ({ title, venue }: Start) => ({ title, venue });

beforeEach(() => {
  jest.useFakeTimers();
  localStorage.clear();
  signedInAs(makeMe());
  truth = makeStart({ id: `22222222-2222-4222-8222-${String(++made).padStart(12, "0")}`, title: "Heat" });
  sent = [];
  isUp = true;
  Object.assign(AbortSignal, { timeout: () => undefined });
  Object.assign(globalThis, {
    fetch: async (_: string, { body }: { body: string }) => {
      if (!isUp) throw new TypeError("Failed to fetch");
      const { version, athleteId: __, ...write } = JSON.parse(body) as StartWrite;
      sent.push(JSON.parse(body));
      if (version !== truth.version) {
        const refusal = {
          code: "version_conflict",
          message: "Someone else saved.",
          path: "version",
          current: truth,
        };
        return { ok: false, headers: new Map(), json: async () => refusal };
      }
      truth = { ...truth, ...write, version: version + 1 } as Start;
      const answer = truth;
      return { ok: true, headers: new Map(), json: async () => answer };
    },
  });
});

/** Somebody else changes it. */
const elsewhere = (more: Partial<Start>) => {
  truth = { ...truth, ...more, version: truth.version + 1 };
};

describe("what is edited of a start", () => {
  afterEach(() => void jest.useRealTimers());
  const pass = (ms: number) => act(() => jest.advanceTimersByTimeAsync(ms));
  let client: QueryClient;
  beforeEach(() => {
    client = new QueryClient();
  });
  const open = () => {
    const wrapper = withClient(client);
    const start = truth;
    return renderHook(() => useStartDraft(start, fields), { wrapper });
  };

  it("is saved by itself a moment after the last change, and nothing else of it is", async () => {
    // With what answers alone carry: a group that was saved once is saved again.
    truth = { ...truth, group: [truth.athlete, { id: "99999999-9999-4999-8999-999999999999", name: "Bo" }] };
    const asRead = truth;
    const { result } = open();
    act(() => result.current.change({ title: "Final" }));
    await pass(500);
    act(() => result.current.change({ title: "Finals" }));
    expect([sent, result.current.state.words]).toEqual([[], "Saving …"]);
    await pass(900);
    const {
      id: _,
      plan: __,
      facts: ___,
      stamp: ____,
      order: _____,
      group: ______,
      athlete,
      ...rest
    } = asRead;
    expect(sent).toEqual([{ ...rest, athleteId: athlete.id, title: "Finals" }]);
    expect([result.current.state.words, result.current.draft.title]).toEqual(["Saved", "Finals"]);
    act(() => result.current.change({ venue: "Rink" }));
    await pass(900);
    expect(truth).toMatchObject({ title: "Finals", venue: "Rink", version: 3 });
  });

  it("is saved at once when one leaves, and gone on from when one comes back before that is answered", async () => {
    const { result, unmount } = open();
    act(() => result.current.change({ title: "Final" }));
    unmount();
    expect(open().result.current.draft.title).toBe("Final");
    await pass(1);
    expect(truth.title).toBe("Final");
  });

  it("is known to nobody else: another club or person has a cache of their own", () => {
    const { result } = open();
    act(() => result.current.change({ title: "Final" }));
    expect(open().result.current.draft.title).toBe("Final");
    client = new QueryClient();
    signedInAs({ ...makeMe(), id: "77777777-7777-4777-8777-777777777777" });
    expect(open().result.current.draft.title).not.toBe("Final");
  });

  it("leaves what others change meanwhile, and says so where both changed the same", async () => {
    const { result } = open();
    elsewhere({ startsAt: "2026-06-01T12:10:00.000Z" });
    act(() => result.current.change({ title: "Final" }));
    await pass(900);
    expect(truth).toMatchObject({ title: "Final", startsAt: "2026-06-01T12:10:00.000Z" });
    elsewhere({ title: "Theirs" });
    act(() => result.current.change({ title: "Ours" }));
    await pass(900);
    expect(result.current.state).toEqual({ words: "Not saved. Someone else saved.", failed: true });
    expect([truth.title, result.current.draft.title]).toEqual(["Theirs", "Ours"]);
    act(() => result.current.save());
    await pass(1);
    expect([truth.title, result.current.state.words]).toEqual(["Ours", "Saved"]);
  });

  it("is not lost where the server is away, also when the sheet is closed by then", async () => {
    isUp = false;
    const { result, unmount } = open();
    act(() => result.current.change({ title: "Final" }));
    await pass(900);
    // Without a connection there is nothing to do about it.
    expect(result.current.state).toEqual({
      words: "Kept on this device, and saved as soon as the server answers.",
      failed: false,
    });
    expect(result.current.draft.title).toBe("Final");
    unmount();
    isUp = true;
    await pass(9000);
    expect(truth.title).toBe("Final");
  });
});
