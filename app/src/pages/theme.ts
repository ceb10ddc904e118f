import type { APIRoute } from 'astro';

/** Sets the theme for this browser and goes back to the page. */
export const POST: APIRoute = async ({ request, cookies, redirect }) => {
  const form = await request.formData();
  const theme = form.get('theme');
  const back = String(form.get('back') ?? '/');
  if (theme === 'daylight' || theme === 'night-shift')
    cookies.set('whelk-theme', theme, { path: '/', maxAge: 31_536_000, sameSite: 'lax', httpOnly: true });
  // only ever back to a page of this shop
  return redirect(/^\/(?![/\\])/.test(back) ? back : '/', 303);
};
