import { skipToken, useQuery } from "@tanstack/react-query";
import { glanceKey, type KeptGlance } from "./glances";

/** What is known of how a start stands. */
export const useKeptGlance = (startId: string): KeptGlance | undefined =>
  useQuery<KeptGlance>({ queryKey: glanceKey(startId), queryFn: skipToken }).data;
