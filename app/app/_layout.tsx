import "../ui/global.css";
import { ArchivoNarrow_700Bold } from "@expo-google-fonts/archivo-narrow/700Bold";
import { AtkinsonHyperlegibleNext_400Regular } from "@expo-google-fonts/atkinson-hyperlegible-next/400Regular";
import { AtkinsonHyperlegibleNext_700Bold } from "@expo-google-fonts/atkinson-hyperlegible-next/700Bold";
import { QueryClientProvider } from "@tanstack/react-query";
import { FontDisplay, useFonts } from "expo-font";
import { Slot } from "expo-router";
import { useEffect, useState } from "react";
import { keepApplication } from "~/data/device/offline";
import { applyKeptTheme } from "~/data/device/theme";
import { makeQueryClient } from "~/data/queries/queryClient";
import { sendKept } from "~/data/sendKept";
import { Door } from "~/features/account/Door";

export { ErrorBoundary } from "~/features/nav/ErrorBoundary";

applyKeptTheme();
keepApplication();

/** The page does not wait for its type: it is readable in the system's until ours is there. */
const swapped = (uri: number) => ({ uri, display: FontDisplay.SWAP });
const FONTS = {
  ArchivoNarrow_700Bold: swapped(ArchivoNarrow_700Bold),
  AtkinsonHyperlegibleNext_400Regular: swapped(AtkinsonHyperlegibleNext_400Regular),
  AtkinsonHyperlegibleNext_700Bold: swapped(AtkinsonHyperlegibleNext_700Bold),
};

export default function Layout() {
  const [client] = useState(makeQueryClient);
  useFonts(FONTS);
  useEffect(() => {
    document.documentElement.lang = "en";
    const send = () => void sendKept();
    send();
    window.addEventListener("online", send);
    return () => window.removeEventListener("online", send);
  }, []);
  return (
    <QueryClientProvider client={client}>
      <Door>
        <Slot />
      </Door>
    </QueryClientProvider>
  );
}
