import type { Page } from 'playwright-core';

/** Words that can be seen, each line of them as a quadrangle on the screen: shared by both looks below. */
const SEEN = `
  const own = (node) => node.nodeType === 3 && node.textContent.trim() !== '';
  const named = (element) => element.textContent.trim().replace(/\\s+/g, ' ').slice(0, 30);
  /** Where what is drawn is cut off by what scrolls. */
  const clip = (element) => {
    let box = { left: 0, top: 0, right: innerWidth, bottom: innerHeight };
    for (let at = element; at; at = at.parentElement) {
      if (at instanceof SVGElement && !(at instanceof SVGSVGElement)) continue;
      const { overflowX, overflowY } = getComputedStyle(at);
      if (overflowX === 'visible' && overflowY === 'visible') continue;
      const { left, top, right, bottom } = at.getBoundingClientRect();
      box = { left: Math.max(box.left, left), top: Math.max(box.top, top), right: Math.min(box.right, right), bottom: Math.min(box.bottom, bottom) };
    }
    return box;
  };
  /** Nothing lies over it; a drawing lets fingers through to what is under its words. */
  const onTop = (element, x, y) => {
    const hit = document.elementFromPoint(x, y);
    if (!hit) return false;
    const drawing = element.closest('svg');
    return element.contains(hit) || hit.contains(element) || (drawing !== null && (drawing.contains(hit) || hit.contains(drawing)));
  };
  const quads = (element) => {
    if (element instanceof SVGElement) {
      const box = element.getBBox();
      const matrix = element.getScreenCTM();
      const [w, h] = [box.width * 0.03, box.height * 0.22];
      return [[[box.x + w, box.y + h], [box.x + box.width - w, box.y + h], [box.x + box.width - w, box.y + box.height - h], [box.x + w, box.y + box.height - h]]
        .map(([x, y]) => { const at = new DOMPoint(x, y).matrixTransform(matrix); return [at.x, at.y]; })];
    }
    return [...element.childNodes].filter(own).flatMap((node) => {
      const range = document.createRange();
      range.selectNodeContents(node);
      const size = parseFloat(getComputedStyle(element).fontSize);
      return [...range.getClientRects()].filter(({ width }) => width > 1).map(({ left, right, top, bottom }) => {
        // A line is higher than its letters.
        const less = Math.max(0, (bottom - top - 0.7 * size) / 2);
        return [[left, top + less], [right, top + less], [right, bottom - less], [left, bottom - less]];
      });
    });
  };
  const seen = [...document.querySelectorAll('body *')]
    .filter((element) => [...element.childNodes].some(own) && !element.closest('script, style, .unseen, .skip, defs, title, option, tspan'))
    .filter((element) => element.checkVisibility({ visibilityProperty: true, opacityProperty: true }))
    .flatMap((element) => {
      const { left, top, right, bottom } = clip(element);
      const clamped = ([x, y]) => [Math.max(left, Math.min(right, x)), Math.max(top, Math.min(bottom, y))];
      const within = (quad) => element instanceof SVGElement ? quad : quad.map(clamped);
      return quads(element).map((quad) => ({ element, quad: within(quad) })).filter(({ quad }) => {
        const [x, y] = [0, 1].map((axis) => quad.reduce((sum, place) => sum + place[axis] / 4, 0));
        return x > left && x < right && y > top && y < bottom && onTop(element, x, y);
      });
    });`;

/** Words that lie on other words. */
const CROSSED = `(() => {
  ${SEEN}
  /** Two convex quadrangles share more than a hair when no side of either parts them. */
  const apart = (one, other) => one.some(([x, y], index) => {
    const [nx, ny] = one[(index + 1) % 4];
    const long = Math.hypot(nx - x, ny - y) || 1;
    const out = ([px, py]) => ((px - x) * (ny - y) - (py - y) * (nx - x)) / long;
    const side = Math.sign(out(one[(index + 2) % 4])) || 1;
    return other.every((place) => side * out(place) < 1);
  });
  const found = [];
  for (const [index, one] of seen.entries()) {
    for (const other of seen.slice(index + 1)) {
      if (one.element === other.element || one.element.contains(other.element) || other.element.contains(one.element)) continue;
      if (!apart(one.quad, other.quad) && !apart(other.quad, one.quad)) found.push('“' + named(one.element) + '” on “' + named(other.element) + '”');
    }
  }
  return [...new Set(found)];
})()`;

/** Words on a ground that they cannot be read on: under 4.5, large ones under 3 (WCAG 2.2, 1.4.3); what is off is left out. */
const FAINT = `(() => {
  ${SEEN}
  const canvas = new OffscreenCanvas(1, 1).getContext('2d', { willReadFrequently: true });
  /** A colour as three parts of 255 and its opacity. */
  const parts = (colour) => {
    canvas.clearRect(0, 0, 1, 1);
    canvas.fillStyle = colour;
    canvas.fillRect(0, 0, 1, 1);
    const [r, g, b, a] = canvas.getImageData(0, 0, 1, 1).data;
    return [r, g, b, a / 255];
  };
  const over = ([r, g, b, a], [br, bg, bb]) => [r * a + br * (1 - a), g * a + bg * (1 - a), b * a + bb * (1 - a), 1];
  /** Everything that is painted under an element, from the page upward; pictures on a ground are left to a test of their own. */
  const groundOf = (element) => {
    const layers = [];
    for (let at = element; at; at = at.parentElement) {
      const { backgroundColor } = getComputedStyle(at);
      const veil = at.querySelector(':scope > .v-btn__overlay, :scope > .v-list-item__overlay');
      if (veil) { const style = getComputedStyle(veil); const [r, g, b, a] = parts(style.backgroundColor); layers.push([r, g, b, a * Number(style.opacity)]); }
      const layer = parts(backgroundColor);
      layers.push(layer);
      if (layer[3] > 0.995) break;
    }
    return layers.reverse().reduce((ground, layer) => over(layer, ground), [255, 255, 255, 1]);
  };
  const light = ([r, g, b]) => [r, g, b].map((part) => part / 255).map((part) => part <= 0.04045 ? part / 12.92 : ((part + 0.055) / 1.055) ** 2.4)
    .reduce((sum, part, index) => sum + part * [0.2126, 0.7152, 0.0722][index], 0);
  const found = [];
  for (const { element } of seen) {
    if (element instanceof SVGElement || element.closest(':disabled, [aria-disabled="true"], .v-input--disabled')) continue;
    const style = getComputedStyle(element);
    let opacity = 1;
    for (let at = element; at; at = at.parentElement) opacity *= Number(getComputedStyle(at).opacity);
    const ground = groundOf(element);
    const [r, g, b, a] = parts(style.color);
    const ink = over([r, g, b, a * opacity], ground);
    const [one, other] = [light(ink), light(ground)];
    const contrast = (Math.max(one, other) + 0.05) / (Math.min(one, other) + 0.05);
    const size = parseFloat(style.fontSize);
    const large = size >= 24 || (size >= 18.6 && Number(style.fontWeight) >= 700);
    if (contrast < (large ? 3 : 4.5)) found.push('“' + named(element) + '” ' + contrast.toFixed(2));
  }
  return [...new Set(found)];
})()`;

/** Pairs of words on the page that lie on one another. */
export const crossedWords = (page: Page) => page.evaluate<string[]>(CROSSED);

/** Words on the page that can hardly be read on their ground, with their contrast. */
export const faintWords = (page: Page) => page.evaluate<string[]>(FAINT);
