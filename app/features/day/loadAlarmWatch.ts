/** What watches the clock. @throws where it is not on the device yet and there is no network */
export const loadAlarmWatch = () => import("./AlarmWatch");

/** The same, as soon as it can be had: where there is no network, once there is. */
export async function alarmWatchWhenReached(): ReturnType<typeof loadAlarmWatch> {
  for (;;) {
    try {
      return await loadAlarmWatch();
    } catch {
      await new Promise((reached) => window.addEventListener("online", reached, { once: true }));
    }
  }
}
