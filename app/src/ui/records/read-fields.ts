import { type LengthUnit, type Problem, parseLength } from '@whelk/core/quantity';
import { z } from 'zod';

/** Choices that are shown by their own names. */
export const same = (names: readonly string[]) => names.map((n) => [n, n] as const);

/** Collects typed fields of a form and what is wrong with them. */
export function fieldReader(texts: Readonly<Record<string, string>>) {
  const problems: Record<string, Problem> = {};
  return {
    problems,
    text(key: string, most: number, needed = true): string {
      const value = (texts[key] ?? '').trim();
      if (needed && value === '') problems[key] = { code: 'input.tooSmall', path: [], limit: 'one letter' };
      else if (value.length > most) problems[key] = { code: 'input.tooBig', path: [], limit: `${most} characters` };
      return value;
    },
    /** checks a length and keeps it as typed */
    typed(key: string, unit: LengthUnit): { text: string; unit: LengthUnit } {
      const read = parseLength(texts[key] ?? '', unit);
      if (!read.ok) problems[key] = { code: read.code, path: [], value: read.value };
      return { text: (texts[key] ?? '').trim(), unit };
    },
    mm(key: string, sign: 'positive' | 'notNegative', most: number): number {
      const read = parseLength(texts[key] ?? '', 'mm', sign);
      if (!read.ok) {
        problems[key] = { code: read.code, path: [], value: read.value };
        return 0;
      }
      const value = read.mm.valueOf();
      if (value > most) problems[key] = { code: 'input.tooBig', path: [], limit: `${most} mm` };
      return value;
    },
    /** a day such as 2026-11-23; empty where none is typed */
    date(key: string): string {
      const value = (texts[key] ?? '').trim();
      if (value !== '' && !z.iso.date().safeParse(value).success)
        problems[key] = { code: 'input.invalid', path: [], limit: 'a day such as 2026-11-23' };
      return value;
    },
    /** a plain number, whole where it counts things */
    number(key: string, least: number, most: number, whole = false): number {
      const value = Number((texts[key] ?? '').trim().replace(',', '.'));
      if (!Number.isFinite(value) || (whole && !Number.isInteger(value)))
        problems[key] = { code: 'input.wrongType', path: [], limit: whole ? 'whole number' : 'number' };
      else if (value < least) problems[key] = { code: 'input.tooSmall', path: [], limit: `${least}` };
      else if (value > most) problems[key] = { code: 'input.tooBig', path: [], limit: `${most}` };
      return value;
    },
    /** several sizes, with commas or blanks between them, mm */
    millimetres(key: string, most: number, count: number): number[] {
      const all = (texts[key] ?? '')
        .split(/[;\s]+|,\s+/)
        .filter((part) => part !== '')
        .map((part) => Number(part.replace(',', '.')));
      if (all.length === 0 || all.some((mm) => !(mm > 0)))
        problems[key] = { code: 'input.invalid', path: [], limit: 'sizes such as 0.5, 0.6, 0.725' };
      else if (all.length > count) problems[key] = { code: 'input.tooBig', path: [], limit: `${count} sizes` };
      else if (all.some((mm) => mm > most)) problems[key] = { code: 'input.tooBig', path: [], limit: `${most} mm` };
      return all;
    },
    degrees(key: string, least: number, most: number): number {
      const value = Number((texts[key] ?? '').replace(',', '.').replace('°', ''));
      if (!Number.isFinite(value) || value < least)
        problems[key] = { code: 'input.tooSmall', path: [], limit: `${least}°` };
      else if (value > most) problems[key] = { code: 'input.tooBig', path: [], limit: `${most}°` };
      return value;
    },
  };
}
