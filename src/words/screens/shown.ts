/** What a sentence takes in: a word or a number, formatted already. */
export type Shown = string | number;
