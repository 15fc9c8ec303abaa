package yokebar.e2e;

import com.microsoft.playwright.Page;
import java.util.List;

/** Measures a page as it stands: whether everything on it can be seen and reached. */
final class Layout {
    private Layout() {}

    /**
     * Controls that are cut off, stand outside the page, or lie over one another. What an ancestor scrolls to counts as in sight,
     * and what is right with the next frame was never seen.
     *
     * @return what is wrong and where; empty when nothing is
     */
    @SuppressWarnings("unchecked")
    static List<String> faults(Page page) {
        return (List<String>)
                page.evaluate(
                        """
                async () => {
                 const look = () => {
                  const faults = [];
                  const name = (e) => e.tagName.toLowerCase() + (e.className && e.className.baseVal === undefined ? '.' + String(e.className).split(' ')[0] : '')
                    + ' "' + (e.getAttribute('aria-label') ?? e.textContent ?? '').trim().replace(/\\s+/g, ' ').slice(0, 40) + '"';
                  if (document.scrollingElement.scrollWidth > innerWidth) {
                    faults.push('the page is ' + document.scrollingElement.scrollWidth + ' px wide');
                  }
                  const clip = (e) => {
                    let box = { left: 0, right: innerWidth, top: 0, bottom: innerHeight };
                    let scrolls = false;
                    for (let p = e.parentElement; p && p !== document.body; p = p.parentElement) {
                      const style = getComputedStyle(p);
                      if (!p.matches('.view') && (style.overflowX === 'auto' || style.overflowX === 'scroll')) { scrolls = true; }
                      if (style.overflowX === 'hidden' && !scrolls) {
                        const r = p.getBoundingClientRect();
                        box = { ...box, left: Math.max(box.left, r.left), right: Math.min(box.right, r.right) };
                      }
                    }
                    return scrolls ? null : box;
                  };
                  for (const view of document.querySelectorAll('.view')) {
                    if (view.scrollWidth > view.clientWidth + 1) {
                      faults.push('the view is ' + view.scrollWidth + ' px wide, there are ' + view.clientWidth);
                    }
                  }
                  // What is scrolled out of its ancestors lies over nothing.
                  const seen = (e) => {
                    let { left, right, top, bottom } = e.getBoundingClientRect();
                    for (let p = e.parentElement; p && p !== document.body; p = p.parentElement) {
                      if (getComputedStyle(p).overflowY !== 'visible') {
                        const r = p.getBoundingClientRect();
                        left = Math.max(left, r.left); right = Math.min(right, r.right);
                        top = Math.max(top, r.top); bottom = Math.min(bottom, r.bottom);
                      }
                    }
                    return { left, right, top, bottom };
                  };
                  const controls = [...document.querySelectorAll('button, a[href], input, select, textarea, [tabindex="0"]')]
                    .filter((e) => !e.matches('.bx--text-input--password__visibility__toggle'))
                    .filter((e) => e.checkVisibility({ visibilityProperty: true, opacityProperty: true }) && !e.closest('.skip, .visually-hidden, svg'))
                    .map((e) => ({ e, r: e.getBoundingClientRect() }))
                    .filter(({ r }) => r.width > 1 && r.height > 1);
                  for (const { e, r } of controls) {
                    const box = clip(e);
                    if (box && (r.left < box.left - 1 || r.right > box.right + 1)) {
                      faults.push('cut off: ' + name(e) + ' ' + Math.round(r.left) + '-' + Math.round(r.right) + ' of ' + Math.round(box.left) + '-' + Math.round(box.right));
                    }
                  }
                  const plain = controls.filter(({ e }) => e.matches('button, a[href], select, input:not([type=file])')).map(({ e }) => ({ e, r: seen(e) }));
                  for (let i = 0; i < plain.length; i++) {
                    for (let j = i + 1; j < plain.length; j++) {
                      const a = plain[i], b = plain[j];
                      if (a.e.contains(b.e) || b.e.contains(a.e)) { continue; }
                      const w = Math.min(a.r.right, b.r.right) - Math.max(a.r.left, b.r.left);
                      const h = Math.min(a.r.bottom, b.r.bottom) - Math.max(a.r.top, b.r.top);
                      if (w > 2 && h > 2) {
                        const x = Math.max(a.r.left, b.r.left) + w / 2, y = Math.max(a.r.top, b.r.top) + h / 2;
                        const top = document.elementFromPoint(x, y);
                        if (top && (a.e.contains(top) || b.e.contains(top))) {
                          faults.push('overlap: ' + name(a.e) + ' and ' + name(b.e));
                        }
                      }
                    }
                  }
                  return [...new Set(faults)].slice(0, 12);
                 };
                 const frame = () => new Promise((drawn) => requestAnimationFrame(drawn));
                 if (look().length === 0) { return []; }
                 await frame();
                 await frame();
                 return look();
                }
                """);
    }

    /**
     * Goes through a page with the Tab key.
     *
     * @return the stops whose focus nobody can see; and a word when the keyboard does not get out of something
     */
    @SuppressWarnings("unchecked")
    static List<String> unseenFocus(Page page, int stops) {
        page.evaluate(
                """
                () => {
                  // What fades in would look as if nothing had changed.
                  const still = new CSSStyleSheet();
                  still.replaceSync('* { transition: none !important; animation: none !important }');
                  document.adoptedStyleSheets = [still];
                  document.activeElement?.blur();
                  window.yokebarStops = [];
                }
                """);
        for (int i = 0; i < stops; i++) {
            page.keyboard().press("Tab");
            Boolean again = (Boolean)
                    page.evaluate(
                            """
                    () => {
                      const e = document.activeElement;
                      if (!e || e === document.body) { return window.yokebarStops.length > 0; }
                      if (window.yokebarStops.some((s) => s.e === e)) { return true; }
                      const look = () => {
                        const signs = [];
                        for (let p = e, n = 0; p && n < 4; p = p.parentElement, n++) {
                          const s = getComputedStyle(p);
                          signs.push(s.outlineStyle === 'none' ? '' : s.outlineStyle + s.outlineColor + s.outlineWidth, s.boxShadow, s.borderColor, s.backgroundColor, s.textDecorationLine);
                        }
                        for (const c of e.querySelectorAll('*')) {
                          const s = getComputedStyle(c);
                          signs.push(s.outlineStyle === 'none' ? '' : s.outlineStyle, s.backgroundColor, s.boxShadow);
                        }
                        if (e.labels?.[0]) { signs.push(getComputedStyle(e.labels[0], '::before').outlineStyle, getComputedStyle(e.labels[0], '::before').boxShadow); }
                        return signs.join('|');
                      };
                      window.yokebarStops.push({ e, look, focused: look() });
                      return false;
                    }
                    """);
            if (Boolean.TRUE.equals(again)) {
                break;
            }
        }
        return (List<String>)
                page.evaluate(
                        """
                () => {
                  document.activeElement?.blur();
                  document.adoptedStyleSheets = [];
                  return window.yokebarStops.filter((s) => s.e.isConnected && s.look() === s.focused)
                    .map((s) => s.e.tagName.toLowerCase() + '.' + s.e.className + ' "' + (s.e.getAttribute('aria-label') ?? s.e.textContent ?? '').trim().slice(0, 40) + '"')
                    .slice(0, 10);
                }
                """);
    }
}
