export { MembersScreen as default } from "~/features/club/MembersScreen";
