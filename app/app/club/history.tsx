export { HistoryScreen as default } from "~/features/club/HistoryScreen";
