/** What watches the clock. @throws where it is not on the device yet and there is no network */
export const loadWatch = () => import("./AlarmWatch");

/** The same, as soon as it can be had: where there is no network, once there is. */
export async function watchWhenReached(): ReturnType<typeof loadWatch> {
  for (;;) {
    try {
      return await loadWatch();
    } catch {
      await new Promise((reached) => window.addEventListener("online", reached, { once: true }));
    }
  }
}
