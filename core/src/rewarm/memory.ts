/** What is further back than this is forgotten: the body has nothing left of it, seconds. Custom. */
export const REMEMBERED_SECONDS = 12 * 3600;
