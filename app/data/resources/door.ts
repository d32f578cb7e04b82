import { useMutation, useQuery } from "@tanstack/react-query";
import type { Join, PasswordChange, PasswordReset, SignIn, SignUp } from "@tonodrome/core/api";
import { arrived, chooseClub, refreshMe, signedInAs, signedOutHere } from "~/data/account/account";
import { ask } from "~/data/client/api";
import { useSendOnce } from "~/data/client/useSendOnce";

/** What there is before one is signed in. */
export const useDoor = () =>
  useQuery({ queryKey: ["door"], queryFn: () => ask("door", "GET", "/auth"), staleTime: Infinity });

/** Signs in with an address and a password. */
export const useSignIn = () =>
  useMutation({
    mutationFn: (input: SignIn) => ask("me", "POST", "/auth/sign-in", input),
    onSuccess: signedInAs,
  });

/** Makes an account and a club, and signs in. */
export const useSignUp = () =>
  useMutation({
    mutationFn: (input: SignUp) => ask("me", "POST", "/auth/sign-up", input),
    onSuccess: (me) => {
      // Whoever makes a club begins in it: there is nowhere to go on.
      arrived();
      signedInAs(me);
    },
  });

/** Opens a demo club, without an account. */
export const useOpenDemo = () =>
  useMutation({ mutationFn: () => ask("me", "POST", "/auth/demo"), onSuccess: signedInAs });

/** Ends the session here, or every session there is. What only this device knows stays on it. */
export const useSignOut = () =>
  useMutation({
    mutationFn: (where: "here" | "everywhere") =>
      ask("done", "POST", where === "here" ? "/auth/sign-out" : "/me/sign-out-everywhere"),
    onSuccess: signedOutHere,
  });

/** Deletes one's account; the password has to be given. */
export const useDeleteAccount = () =>
  useMutation({
    mutationFn: (password: string) => ask("done", "POST", "/me/delete", { password }),
    onSuccess: signedOutHere,
  });

/** Sets a new password by the link that whoever runs the server made. */
export const useResetPassword = () =>
  useMutation({
    mutationFn: (input: PasswordReset) => ask("me", "POST", "/auth/reset", input),
    onSuccess: signedInAs,
  });

/** Changes one's password; the one there is has to be given. */
export const useChangePassword = () =>
  useMutation({ mutationFn: (input: PasswordChange) => ask("done", "POST", "/me/password", input) });

/** What an invitation says to whoever holds its link. */
export const useInvitation = (token: string) =>
  useQuery({
    queryKey: ["invitation", token],
    queryFn: () => ask("invitation", "GET", `/invites/${token}`),
  });

/** Joins with a new account. */
export const useJoin = (token: string, onJoined: () => void) =>
  useMutation({
    mutationFn: (input: Join) => ask("me", "POST", `/invites/${token}/sign-up`, input),
    onSuccess: (me) => {
      onJoined();
      signedInAs(me);
    },
  });

/** Joins as whoever is signed in, and goes on in that club. */
export const useAccept = (token: string, onJoined: () => void) =>
  useMutation({
    mutationFn: () => ask("membership", "POST", `/invites/${token}/accept`),
    onSuccess: async ({ id }) => {
      await refreshMe();
      onJoined();
      chooseClub(id);
    },
  });

/** Makes another club, and opens it. */
export const useNewClub = (onMade: () => void) => {
  const once = useSendOnce<{ name: string }>();
  return useMutation({
    mutationFn: (name: string) => ask("membership", "POST", "/clubs", once.withId({ name })),
    onSuccess: async ({ id }) => {
      once.made();
      await refreshMe();
      onMade();
      chooseClub(id);
    },
  });
};
