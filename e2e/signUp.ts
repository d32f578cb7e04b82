/** Makes an account with a club of its own, without a browser. @param api the address of the API */
export async function signUp(api: string, clubName: string): Promise<{ clubId: string; cookie: string }> {
  const answer = await fetch(`${api}/auth/sign-up`, {
    method: "POST",
    headers: { "content-type": "application/json" },
    body: JSON.stringify({
      name: "Vera Holt",
      email: "vera@example.org",
      password: "a long enough password",
      clubName,
    }),
  });
  const { clubs } = (await answer.json()) as { clubs: { id: string }[] };
  const cookie = answer.headers.get("set-cookie")?.split(";")[0] ?? "";
  return { clubId: clubs[0]?.id ?? "", cookie };
}
