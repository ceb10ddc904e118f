/** What a holding cuts, and how it is held in a chuck, as they are chosen. */
export const extentChoices = [
  ['all', 'All within reach'],
  ['ends', 'Only face and centre this end'],
] as const;
export const inChuckChoices = [
  ['chuck', 'In the chuck alone'],
  ['chuckAndCentre', 'Chuck and tail centre'],
] as const;
