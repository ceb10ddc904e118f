// holds: materials of a small workshop with cutting speeds, Kienzle's main values and physical data
// units: speeds m/min for roughing at feedRef mm/rev, depthRef mm, edge life lifeRef min; kc1.1 N/mm²; E GPa; expansion 1e-6/K
// provenance: recalled: ordinary published values, cautious end of the usual ranges; every one can be overruled by the shop
import type { Material } from '../material.ts';

type Row = readonly [
  id: string, name: string, group: Material['group'], designations: readonly string[],
  kc11: number, mc: number, modulusGPa: number, expansionE6: number, density: number,
  hss: number, carbide: number, cautions: readonly string[],
];

const rows: readonly Row[] = [
  ['free-cutting-steel', 'Free-cutting steel', 'P', ['11SMn30', '1.0715'], 1500, 0.22, 207, 11.5, 7850, 45, 200, []],
  ['leaded-steel', 'Leaded free-cutting steel', 'P', ['11SMnPb30', '1.0718'], 1400, 0.22, 207, 11.5, 7870, 52, 220, ['lead']],
  ['low-carbon-steel', 'Low-carbon steel', 'P', ['S235', 'C15'], 1780, 0.17, 207, 11.7, 7850, 32, 150, ['stringyChip']],
  ['medium-carbon-steel', 'Medium-carbon steel', 'P', ['C45', '1.0503'], 1990, 0.25, 207, 11.3, 7850, 28, 130, []],
  ['alloy-steel', 'Alloy steel, quenched and tempered', 'P', ['42CrMo4', '1.7225'], 2250, 0.25, 208, 11.5, 7850, 20, 100, ['hotChip']],
  ['tool-steel', 'Tool steel, annealed', 'P', ['90MnCrV8', '1.2842'], 2300, 0.25, 210, 11.7, 7850, 16, 80, ['hotChip']],
  ['silver-steel', 'Silver steel, annealed', 'P', ['115CrV3', '1.2210'], 2200, 0.25, 207, 11.4, 7800, 18, 85, []],
  ['stainless-free-machining', 'Stainless, free-machining', 'M', ['X8CrNiS18-9', '1.4305'], 1900, 0.22, 193, 17.3, 7900, 24, 110, []],
  ['stainless-austenitic', 'Stainless, austenitic', 'M', ['X5CrNi18-10', '1.4301'], 2250, 0.22, 193, 16.5, 7900, 15, 90, ['workHardens', 'stringyChip']],
  ['stainless-martensitic', 'Stainless, martensitic, annealed', 'M', ['X20Cr13', '1.4021'], 2000, 0.24, 210, 10.5, 7700, 18, 95, []],
  ['grey-iron', 'Grey cast iron', 'K', ['EN-GJL-250'], 1160, 0.26, 110, 10.5, 7200, 22, 90, ['ironDust', 'skinFirst']],
  ['ductile-iron', 'Ductile iron', 'K', ['EN-GJS-500-7'], 1450, 0.26, 169, 12.5, 7100, 22, 95, ['ironDust', 'skinFirst']],
  ['malleable-iron', 'Malleable iron', 'K', ['EN-GJMB-350-10'], 1300, 0.26, 170, 11, 7300, 26, 100, ['ironDust', 'skinFirst']],
  ['brass', 'Free-cutting brass', 'N', ['CuZn39Pb3', 'CW614N'], 780, 0.18, 97, 20.9, 8470, 75, 220, ['zeroRake', 'lead', 'flyingChips']],
  ['tin-bronze', 'Tin bronze', 'N', ['CuSn8', 'CW453K'], 1100, 0.2, 110, 18.5, 8800, 32, 150, ['zeroRake']],
  ['leaded-bronze', 'Leaded bronze, bearing', 'N', ['CuSn7Zn4Pb7', 'CC493K'], 750, 0.2, 95, 18.5, 8900, 45, 180, ['zeroRake', 'lead']],
  ['aluminium-bronze', 'Aluminium bronze', 'N', ['CuAl10Ni5Fe4', 'CW307G'], 1300, 0.2, 120, 16.2, 7600, 22, 110, []],
  ['gunmetal', 'Gunmetal', 'N', ['CuSn5Zn5Pb5', 'CC491K'], 780, 0.2, 90, 18.2, 8800, 45, 170, ['zeroRake', 'lead']],
  ['copper', 'Copper', 'N', ['Cu-ETP', 'CW004A'], 1150, 0.24, 120, 16.8, 8930, 45, 200, ['stringyChip']],
  ['aluminium-wrought', 'Aluminium alloy, wrought', 'N', ['EN AW-6082 T6'], 700, 0.25, 70, 23.4, 2700, 90, 350, ['builtUpEdge']],
  ['aluminium-free-cutting', 'Aluminium alloy, free-cutting', 'N', ['EN AW-2011'], 600, 0.25, 71, 23, 2830, 110, 400, []],
  ['titanium-alloy', 'Titanium alloy', 'S', ['Ti-6Al-4V', '3.7165'], 1400, 0.23, 114, 8.6, 4430, 10, 45, ['burningChips', 'workHardens']],
  ['magnesium-alloy', 'Magnesium alloy', 'N', ['AZ31'], 390, 0.19, 45, 26, 1770, 110, 400, ['burningChips', 'noWater']],
  ['acetal', 'Acetal', 'O', ['POM-C'], 180, 0.2, 2.8, 110, 1410, 120, 250, ['keenEdge', 'heatGrows']],
  ['nylon', 'Nylon', 'O', ['PA6'], 160, 0.2, 2.5, 90, 1140, 100, 220, ['keenEdge', 'heatGrows', 'swells']],
  ['ptfe', 'PTFE', 'O', ['PTFE'], 110, 0.2, 0.6, 130, 2170, 90, 200, ['keenEdge', 'heatGrows', 'fumesWhenHot']],
];

/** The materials that come with Whelk, in the order of the ISO 513 groups. */
export const materials: readonly Material[] = rows.map(
  ([id, name, group, designations, kc11, mc, modulusGPa, expansionE6, densityKgPerM3, hss, carbide, cautions]) => ({
    id, name, group,
    designations: [...designations],
    kc11NPerMm2: kc11,
    mc,
    modulusGPa,
    expansionPerK: expansionE6 / 1e6,
    densityKgPerM3,
    speeds: {
      hss: { speedMPerMin: hss, feedRefMmPerRev: 0.2, depthRefMm: 2, lifeRefMin: 60 },
      carbide: { speedMPerMin: carbide, feedRefMmPerRev: 0.2, depthRefMm: 2, lifeRefMin: 15 },
    },
    cautions: [...cautions],
    provenance: 'recalled' as const,
  }),
);
