import { forgetSentRuns } from "~/data/runs/send";
import { whenSessionEnds } from "./account/account";
import { forgetEarly } from "./client/early";
import { forgetAlarms } from "./device/armed";
import { forgetSight } from "./device/sight";
import { forgetQueries } from "./queries/keptQueries";

/** Takes from this device what the server has anyhow: whoever finds it learns nothing. What only it knows stays. */
export function forgetClub(): void {
  forgetSentRuns();
  void forgetQueries();
  forgetSight();
  forgetEarly();
  forgetAlarms();
}

// Also when the session was ended from elsewhere: a phone that was lost is why one signs out everywhere.
whenSessionEnds(forgetClub);
