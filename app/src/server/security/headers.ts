import { createHash } from 'node:crypto';

const inline = (html: string, tag: 'script' | 'style'): string[] => {
  const found = new Set<string>();
  for (const match of html.matchAll(new RegExp(`<${tag}(?![^>]*\\bsrc=)[^>]*>([\\s\\S]*?)</${tag}>`, 'g')))
    if (match[1]) found.add(`'sha256-${createHash('sha256').update(match[1]).digest('base64')}'`);
  return [...found];
};

/** Content security policy for a page: only its own scripts and styles run, inline ones by their hash. */
export function policyFor(html: string): string {
  const scripts = inline(html, 'script').join(' ');
  const styles = inline(html, 'style').join(' ');
  return [
    `default-src 'none'`,
    `script-src 'self' ${scripts}`.trim(),
    `style-src 'self' ${styles}`.trim(),
    `img-src 'self' data:`,
    `font-src 'self'`,
    `connect-src 'self'`,
    `worker-src 'self'`,
    `manifest-src 'self'`,
    `form-action 'self'`,
    `base-uri 'none'`,
    `frame-ancestors 'none'`,
  ].join('; ');
}

/** Headers that every answer carries. */
export function harden(headers: Headers): void {
  headers.set('x-content-type-options', 'nosniff');
  headers.set('x-frame-options', 'DENY');
  headers.set('referrer-policy', 'same-origin');
  headers.set('cross-origin-opener-policy', 'same-origin');
  headers.set('cross-origin-resource-policy', 'same-origin');
  if (!headers.has('content-security-policy'))
    headers.set('content-security-policy', `default-src 'none'; frame-ancestors 'none'`);
}
