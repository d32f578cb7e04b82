import { z } from "zod";
import { createStore, useStore } from "zustand";
import { keep, readKept } from "~/data/device/storage";

/** How a run behaves on this device. */
const settingsSchema = z.object({
  /** Nothing is heard or felt, whatever else is chosen. */
  silent: z.boolean(),
  tones: z.boolean(),
  speech: z.boolean(),
  vibration: z.boolean(),
  /** Begins at the moment it is to begin. */
  beginsItself: z.boolean(),
  /** Minutes ahead or behind from which the rest is fitted anew; 0 for never. */
  refitMinutes: z.number().int().min(0).max(15),
  /** A re-fit is applied at once, not at a press. */
  appliesAtOnce: z.boolean(),
  /** The start follows a running order; the only one there is yet is simulated. */
  followsOrder: z.boolean().default(false),
  /** A heart-rate strap is listened to; the only one there is yet is simulated. */
  strap: z.boolean().default(false),
  /** Large figures and little else, for a phone that lies on a bench. */
  bigType: z.boolean(),
  /** Shows the run and has no presses, for a second screen. */
  mirror: z.boolean(),
});

/** How a run behaves on this device. */
export type RunSettings = z.infer<typeof settingsSchema>;

const USUAL: RunSettings = {
  silent: false,
  tones: true,
  speech: false,
  vibration: true,
  beginsItself: false,
  refitMinutes: 2,
  appliesAtOnce: false,
  followsOrder: false,
  strap: false,
  bigType: false,
  mirror: false,
};

const KEY = "run-settings";
const store = createStore<RunSettings>(
  () => readKept(KEY, (kept) => settingsSchema.safeParse(kept).data) ?? USUAL,
);

/** Changes some of the settings and keeps them on this device. */
export function changeRunSettings(more: Partial<RunSettings>): void {
  store.setState(more);
  keep(KEY, store.getState());
}

/** The settings in force. */
export function useRunSettings(): RunSettings {
  return useStore(store);
}
