/** Length at 20 °C of something measured warm, mm. @source L20 = L/(1 + α·Δt) @example lengthAt20Mm(250, 1.87e-5, 26.5) // 249.9696 */
export function lengthAt20Mm(lengthMm: number, expansionPerK: number, temperatureDegC: number): number {
  return lengthMm / (1 + expansionPerK * (temperatureDegC - 20));
}
