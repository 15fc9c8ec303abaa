/** The script this page was made from, as the page names it; undefined while developing. */
export function ownScript(page: Document): string | undefined {
  return page.querySelector('script[type=module][src^="/assets/"]')?.getAttribute('src') ?? undefined;
}

/** Whether the server has another interface now than the one that is open here. */
export async function outdated(own: string | undefined): Promise<boolean> {
  if (!own) {
    return false;
  }
  try {
    const answer = await fetch('/', { cache: 'no-store' });
    const page = await answer.text();
    return answer.ok && page.includes('/assets/') && !page.includes(own);
  } catch {
    // The page says when it is offline; whether it is outdated shows once it is not.
    return false;
  }
}
