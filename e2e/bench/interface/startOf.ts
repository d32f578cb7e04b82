import type { Page } from "@playwright/test";
import { benchPlan } from "../../../core/bench/plans";
import { clubApi } from "../../coach";

/** Asks about the demo club, as whoever the page is signed in as. */
async function ask(page: Page, method: string, path: string, data: object) {
  const answer = await page.request.fetch(`${await clubApi(page)}${path}`, { method, data });
  if (!answer.ok()) throw new Error(`${path}: ${await answer.text()}`);
  return (await answer.json()) as { id: string; plan: { id: string } };
}

/** A start two hours from now whose warm-up has so many drills. */
export async function startOf(page: Page, drills: number): Promise<string> {
  const athlete = await ask(page, "POST", "/athletes", { name: `Bench ${drills}` });
  const startsAt = Date.now() + 7_200_000;
  const start = await ask(page, "POST", "/starts", {
    athleteId: athlete.id,
    title: "Bench",
    venue: "",
    zone: "UTC",
    startsAt: new Date(startsAt).toISOString(),
    readyAt: new Date(startsAt - 3_600_000).toISOString(),
  });
  await ask(page, "PUT", `/plans/${start.plan.id}`, { version: 1, body: benchPlan(drills) });
  return start.id;
}
