// What is wrong with how a page lies, in words. `width`: of the window, which a page that is too wide makes small print of.
// `touch`: whether what can be pressed has to be large enough for a finger.
(width, touch) => {
  const wrong = [];
  const name = (one) => `${one.tagName.toLowerCase()} “${(one.getAttribute('aria-label') || one.textContent || '').trim().slice(0, 40)}”`;
  const shown = (one) => one.checkVisibility({ opacityProperty: true, visibilityProperty: true, contentVisibilityAuto: true });
  const inside = ({ left, right, top, bottom }) => right > 0 && left < width && bottom > 0 && top < innerHeight;
  const hidden = (one) => one.closest('[aria-hidden=true], svg, .MuiTooltip-popper');

  if (document.documentElement.scrollWidth > width + 1) {
    const widest = [...document.querySelectorAll('body *')].filter((one) => one.getBoundingClientRect().right > width + 1 && !one.closest('svg')).at(0);
    wrong.push(`the page is ${document.documentElement.scrollWidth} px wide: ${widest?.outerHTML.slice(0, 160)}`);
  }
  // Rows that are made to be moved sideways say so by their role or name.
  const sideways = '[role=group], nav[aria-label=Pages], textarea, input, svg';
  for (const one of document.querySelectorAll('body *')) {
    if (one.closest(sideways) || !shown(one)) continue;
    const { overflowX } = getComputedStyle(one);
    if (['auto', 'scroll'].includes(overflowX) && one.scrollWidth > one.clientWidth + 1 && one.clientWidth > 0)
      wrong.push(`${name(one)} is to be moved sideways by ${one.scrollWidth - one.clientWidth} px`);
  }

  // Less than a line or two of what there is.
  for (const one of document.querySelectorAll('body *')) {
    if (one.matches('textarea, input') || !shown(one) || !['auto', 'scroll'].includes(getComputedStyle(one).overflowY)) continue;
    if (one.scrollHeight > one.clientHeight + 4 && one.clientHeight > 0 && one.clientHeight < 56)
      wrong.push(`${name(one)} shows ${one.clientHeight} of ${one.scrollHeight} px`);
  }

  const controls = [...document.querySelectorAll('button, a[href], [role=slider], select, textarea, input:not([type=hidden]):not([type=file])')];
  for (const one of controls) {
    if (!shown(one) || hidden(one) || one.disabled) continue;
    const { width: across, height, left, right, top } = one.getBoundingClientRect();
    if (!inside(one.getBoundingClientRect())) continue;
    if (left < -1 || right > width + 1) if (!one.closest(sideways)) wrong.push(`${name(one)} reaches beyond the edge`);
    // Words in a line of text are as high as the line (WCAG 2.2, 2.5.8), and a field is pressed with what is around it.
    const field = one.closest('.MuiInputBase-root, .MuiSwitch-root, label') ?? one;
    const size = field.getBoundingClientRect();
    const least = touch ? 44 : 24;
    const inline = one.tagName === 'A' && getComputedStyle(one).display === 'inline';
    if (!inline && (size.height < least - 0.5 || size.width < Math.min(least, 24) - 0.5 || (touch && size.width < least - 0.5)))
      wrong.push(`${name(one)} is ${Math.round(size.width)} × ${Math.round(size.height)}`);
    const [x, y] = [left + across / 2, top + height / 2];
    if (x < 0 || y < 0 || x > width || y > innerHeight || one.closest(sideways)) continue;
    const top_one = document.elementFromPoint(x, y);
    if (top_one && !one.contains(top_one) && !top_one.contains(one) && !field.contains(top_one) && !clipped(one, x, y))
      wrong.push(`${name(one)} lies beneath ${name(top_one)}`);
  }

  // Whether a point is scrolled out of what holds it.
  function clipped(one, x, y) {
    for (let holder = one.parentElement; holder; holder = holder.parentElement) {
      if (getComputedStyle(holder).overflowY === 'visible') continue;
      const box = holder.getBoundingClientRect();
      if (x < box.left || x > box.right || y < box.top || y > box.bottom) return true;
    }
    return false;
  }

  // What is seen at a point: everything down to the first that is not looked through.
  function seenAt(x, y) {
    const stack = document.elementsFromPoint(x, y);
    const solid = stack.findIndex((one) => !/^(rgba\(.*, 0\)|transparent)$/.test(getComputedStyle(one).backgroundColor));
    return solid < 0 ? stack : stack.slice(0, solid + 1);
  }

  // Words over other words: boxes of text that meet, neither of which holds the other.
  const words = [];
  const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
  while (walker.nextNode()) {
    const node = walker.currentNode;
    const holder = node.parentElement;
    if (!node.data.trim() || !holder || !shown(holder) || hidden(holder) || holder.closest('textarea, [data-testid=who-drew], script, style')) continue;
    const style = getComputedStyle(holder);
    if (style.clipPath !== 'none' || style.position === 'absolute') continue;
    const range = document.createRange();
    range.selectNodeContents(node);
    for (const box of range.getClientRects())
      if (box.width > 2 && inside(box) && !clipped(holder, box.left + box.width / 2, box.top + box.height / 2)) words.push([node, box]);
  }
  for (let i = 0; i < words.length; i++)
    for (let j = i + 1; j < words.length; j++) {
      const [[one, a], [other, b]] = [words[i], words[j]];
      const across = Math.min(a.right, b.right) - Math.max(a.left, b.left);
      const down = Math.min(a.bottom, b.bottom) - Math.max(a.top, b.top);
      if (one !== other && across > 3 && down > 6) {
        const seen = seenAt(Math.max(a.left, b.left) + across / 2, Math.max(a.top, b.top) + down / 2);
        if ([one, other].every((node) => seen.some((top) => node.parentElement.contains(top)))) wrong.push(`“${one.data.trim().slice(0, 30)}” lies over “${other.data.trim().slice(0, 30)}”`);
      }
    }
  return [...new Set(wrong)].slice(0, 12);
}
