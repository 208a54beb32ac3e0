/** Files beyond this are to be split; a hundred thousand weighings are about 4 MB. */
export const MOST_MEGABYTES = 20;
