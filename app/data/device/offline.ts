/** Has the application kept on this device. Without a way to, it goes on as an ordinary page. */
export function keepApplication(): void {
  if (process.env.NODE_ENV !== "production" || !("serviceWorker" in navigator)) return;
  const register = () => void navigator.serviceWorker.register("/sw.js").catch(() => undefined);
  // After the page itself has what it needs.
  if (document.readyState === "complete") register();
  else window.addEventListener("load", register);
}
