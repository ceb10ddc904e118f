import { defineMiddleware } from 'astro:middleware';
import { guarded, Refused } from './server/answer.ts';
import { isAway } from './server/db/connection.ts';
import { rememberPage } from './server/page-cache.ts';
import { harden, policyFor } from './server/security/headers.ts';
import { allowedHosts, judgeRequest } from './server/security/request.ts';

const hosts = allowedHosts(process.env.WHELK_HOSTS);

/** Door of the server: whose request it is, what headers go back, and what a page says when the database is away. */
export const onRequest = defineMiddleware(async (context, next) => {
  const verdict = judgeRequest(context.request.method, context.request.headers, hosts);
  let response: Response;
  if (verdict !== 'ok')
    response = await guarded(async () => Promise.reject(new Refused(403, [{ code: `${verdict}.refused`, path: [] }])));
  else {
    const theme = context.cookies.get('whelk-theme')?.value;
    context.locals.theme = theme === 'night-shift' || theme === 'daylight' ? theme : undefined;
    try {
      response = await next();
    } catch (error) {
      if (!isAway(error) || context.url.pathname === '/away') throw error;
      response = await context.rewrite('/away');
    }
  }
  const headers = new Headers(response.headers);
  if (!headers.get('content-type')?.startsWith('text/html')) {
    harden(headers);
    return new Response(response.body, { status: response.status, headers });
  }
  const { rendered } = context.locals;
  const html = rendered?.page?.html ?? (await response.text());
  const policy = rendered?.page?.policy ?? policyFor(html);
  if (rendered && !rendered.page && response.status === 200) rememberPage(rendered.key, { html, policy });
  headers.set('content-security-policy', policy);
  headers.set('cache-control', 'no-store');
  harden(headers);
  return new Response(html, { status: response.status, headers });
});
