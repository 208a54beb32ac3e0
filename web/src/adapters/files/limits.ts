/** Files beyond this are to be split; a hundred thousand weighings are about 4 MB. */
export const MOST_MEGABYTES = 20;
/** More columns than any list of animals has. */
export const MOST_COLUMNS = 300;
/** A note of a whole page is some 4,000 letters. */
export const MOST_CELL_LETTERS = 100_000;
