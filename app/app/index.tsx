export { TodayScreen as default } from "~/features/starts/TodayScreen";
