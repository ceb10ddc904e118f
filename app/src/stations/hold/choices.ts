/** What a setup cuts, and which end of the drawing stands at the tailstock, as they are chosen. */
export const extentChoices = [
  ['all', 'All within reach'],
  ['ends', 'Only face and centre this end'],
  ['rough', 'Only rough, for a later holding'],
  ['finish', 'Only the last cuts'],
] as const;
export const tailChoices = [
  ['left', 'The drawing’s left end'],
  ['right', 'The drawing’s right end'],
] as const;
