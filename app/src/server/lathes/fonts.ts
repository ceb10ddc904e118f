import plain from '@fontsource/barlow/files/barlow-latin-400-normal.woff?inline';
import bold from '@fontsource/barlow/files/barlow-latin-700-normal.woff?inline';
import type { Fonts } from '../../exchange/pdf.ts';
import { unpackWoff } from '../../exchange/woff.ts';

const bytes = (url: string): Buffer => unpackWoff(Buffer.from(url.slice(url.indexOf(',') + 1), 'base64'));

/** The application's own face for printed pages, carried inside the build. */
export const printFonts: Fonts = { plain: bytes(plain), bold: bytes(bold) };
