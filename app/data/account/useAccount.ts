import { type Action, type Membership, may } from "@tonodrome/core/api";
import { useStore } from "zustand";
import { type Account, accountStore, membershipOf } from "./account";

/** The account as it now stands. */
export const useAccount = (): Account => useStore(accountStore);

/** The club one acts in. Only drawn where there is one. */
export const useMembership = (): Membership => membershipOf(useAccount());

/** Whether one may do this in the club one acts in. */
export function useMay(action: Action): boolean {
  return may(useMembership().role, action);
}
