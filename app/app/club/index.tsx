export { ClubScreen as default } from "~/features/club/ClubScreen";
