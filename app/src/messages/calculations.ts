/** One sentence for each calculation of the catalogue. */
export const calculationSentences: Record<string, string> = {
  'length.read':
    'Reads a length as typed (fractions, thou, mixed units) into exact millimetres, inches and the nearest inch fraction.',
  'limit.shaft': 'Deviations and limits of an ISO 286 shaft zone from its nominal size.',
  'limit.read': 'Reads limits as a drawing gives them into an upper and a lower size.',
  'limit.general': 'General tolerance of a linear size by ISO 2768-1.',
  'gauge.decide':
    'Judges readings against limits with the instrument’s uncertainty: fits, does not fit, or cannot say.',
  'cutting.rpm': 'Spindle speed for a cutting speed at a diameter.',
  'cutting.speed': 'Cutting speed at a diameter and spindle speed.',
  'cutting.correctedSpeed': 'A material’s cutting speed corrected for feed, depth and edge life.',
  'cutting.force': 'Cutting, radial and feed force, chip size and power of a turning cut.',
  'cutting.roughness': 'Roughness that a feed leaves with a round nose.',
  'cutting.feedForRoughness': 'Feed that leaves a wanted roughness with a round nose.',
  'mechanics.deflection': 'Bending of round work under the radial force, and the error of diameter.',
  'mechanics.grip': 'Share of what the jaws can hold that a cut uses.',
  'mechanics.lengthAt20': 'Length at 20 °C of something measured warm.',
  'lathe.dialMove': 'Number, full turns and direction of the hand for a travel of a slide on its dial.',
  'lathe.chooseSpeed': 'The setting of a lathe for an ideal speed.',
  'hold.centreHole': 'Mouth diameter of an ISO 6411 type A centre hole.',
  'hold.blank': 'Length of the blank for a part, as a sum.',
  'route.plan': 'Plans all that can be turned from the tailstock end of a part in one holding.',
};
