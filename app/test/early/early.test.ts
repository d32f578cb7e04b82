import { MOST } from "@tonodrome/core/api";
import { forgetEarly, takeEarly } from "~/data/client/early";
import { dropSight, forgetSight, keepSight } from "~/data/device/sight";
import { askEarly } from "~/early/askEarly";
import { STARTS_AT_A_TIME, startsPath, wholePath } from "~/early/asks";
import { SIGHT } from "~/early/keptKeys";
import { showSight } from "~/early/sight";

const NOW = Date.parse("2026-06-01T10:00:30.000Z");

beforeEach(() => {
  localStorage.clear();
  document.body.innerHTML = '<div id="root"></div>';
  globalThis.tonodromeEarly = undefined;
});

describe("what is asked while the application is loading", () => {
  let asked: string[];
  let answers: Record<string, unknown>;
  const settle = async () => {
    for (let i = 0; i < 20; i++) await Promise.resolve();
  };

  beforeEach(() => {
    jest.useFakeTimers({ now: NOW });
    Object.assign(AbortSignal, { timeout: () => undefined });
    asked = [];
    answers = { "/api/me": { id: "ada", clubs: [{ id: "first" }, { id: "second" }] } };
    const at = (club: string) => `/api/clubs/${club}`;
    for (const club of ["first", "second"]) {
      answers[at(club) + startsPath(NOW)] = { starts: [{ id: "a" }, { id: "b" }] };
      answers[at(club) + wholePath(["a", "b"])] = { starts: [], glances: [] };
    }
    const response = (body: unknown) => ({ ok: true, json: async () => body, clone: () => response(body) });
    Object.assign(globalThis, {
      fetch: async (path: string) => {
        asked.push(path);
        if (!(path in answers)) throw new TypeError("Failed to fetch");
        return response(answers[path]);
      },
    });
  });
  afterEach(() => jest.useRealTimers());

  it("is who one is, the starts of the club that was chosen, and those whole; each address a minute long the same", async () => {
    const { bodies } = askEarly("second");
    await settle();
    expect(asked).toEqual([
      "/api/me",
      "/api/clubs/second/starts?from=2026-06-01T07:00:00.000Z",
      "/api/clubs/second/starts/whole?ids=a,b",
    ]);
    expect(startsPath(NOW + 29_000)).toBe(startsPath(NOW));
    expect(STARTS_AT_A_TIME).toBe(MOST.startsTogether);
    expect([...bodies.keys()]).toEqual(asked.map((path) => path.replace("/api", "")));
  });

  it("goes by the first club where none was chosen, and no further than there is an answer", async () => {
    askEarly(null);
    await settle();
    expect(asked[1]).toContain("/clubs/first/");
    asked = [];
    answers = {};
    const { answers: found, bodies } = askEarly("second");
    await settle();
    expect(asked).toEqual(["/api/me"]);
    expect([await found.get("/me"), bodies.size]).toEqual([null, 0]);
  });

  it("is taken once, while it is fresh, and by nobody after who was here has left", async () => {
    const open = () => {
      globalThis.tonodromeEarly = { since: Date.now(), ...askEarly(null), sight: null };
    };
    open();
    expect(await (await takeEarly("/me"))?.json()).toMatchObject({ id: "ada" });
    expect(takeEarly("/me")).toBeNull();
    open();
    jest.setSystemTime(NOW + 30_000);
    expect(takeEarly("/me")).toBeNull();
    open();
    forgetEarly();
    expect(takeEarly("/me")).toBeNull();
    expect(takeEarly("/never-asked")).toBeNull();
  });
});

describe("what was seen last", () => {
  const kept = () => JSON.parse(localStorage.getItem(SIGHT) ?? "null");
  const seen = (html: string, until = NOW + 1000) => {
    document.body.innerHTML = `<div id="root">${html}</div>`;
    keepSight(until);
    return kept();
  };

  beforeEach(() => {
    Object.assign(globalThis, { CSSFontFaceRule: class {} });
  });

  it("is kept without what is only true of a moment, and no more of it than is in sight", () => {
    const starts = [1, 2, 3, 4, 5].map((n) => `<p data-start="${n}">start ${n}</p>`).join("");
    const { html } = seen(
      `<b>13:20</b><i data-moment="">in 5 min</i><p role="alert">Not moved.</p>${starts}`,
    );
    expect(html).toContain("13:20");
    expect(html).toMatch(/visibility: hidden[^>]*>in 5 min/);
    expect(html).not.toContain("Not moved.");
    expect([html.includes("start 4"), html.includes("start 5")]).toEqual([true, false]);
    // The page itself stays as it is.
    expect(document.body.textContent).toContain("Not moved.");
  });

  it("is not kept where it is too large, and nothing older instead", () => {
    seen("small");
    expect(kept()).not.toBeNull();
    seen("x".repeat(400_000));
    expect(kept()).toBeNull();
    seen("small");
    forgetSight();
    expect(kept()).toBeNull();
  });

  it("is shown over the page until it is taken away, and is nothing to press, to find or to listen to", () => {
    const sight = showSight(seen("<b>Begin at 12:44</b>"), "dark", NOW);
    expect(sight?.textContent).toContain("Begin at 12:44");
    const host = sight?.host as HTMLElement;
    expect([host.isConnected, host.inert, host.ariaHidden, host.shadowRoot]).toEqual([
      true,
      true,
      "true",
      null,
    ]);
    expect(document.documentElement.dataset.theme).toBe("dark");
    globalThis.tonodromeEarly = { since: NOW, answers: new Map(), bodies: new Map(), sight };
    dropSight();
    expect(host.isConnected).toBe(false);
    dropSight();
  });

  it("is not shown when it is over, on a screen of another kind, or where it is not what it should be", () => {
    const sight = seen("<b>Begin at 12:44</b>");
    expect(showSight(sight, null, sight.until)).toBeNull();
    expect(showSight({ ...sight, wide: { from: 1, is: false } }, null, NOW)).toBeNull();
    for (const odd of [null, 5, "text", [], {}, { ...sight, html: 5 }, { ...sight, wide: null }])
      expect(showSight(odd, null, NOW)).toBeNull();
  });
});
