// Looks at a page with axe: once for everything but contrast, and for contrast by day and by night.

/** What decides how an element is drawn by the style sheet, without its words. */
function look(element) {
  const attributes = [...element.attributes]
    .filter((a) => a.name !== 'id' && a.name !== 'href' && a.name !== 'value' && !a.name.startsWith('hx-'))
    .map((a) => (a.name.startsWith('aria-label') || a.name === 'name' || a.name === 'for' || a.name === 'title' ? a.name : `${a.name}=${a.value}`));
  const siblings = element.parentElement ? [...element.parentElement.children] : [element];
  const place = siblings.indexOf(element);
  return `${element.localName} ${attributes.join(' ')} ${place % 2} ${place === 0} ${place === siblings.length - 1}`;
}

const kept = (name) => JSON.parse(sessionStorage.getItem(name) ?? '[]');
const keep = (name, what) => sessionStorage.setItem(name, JSON.stringify([...what]));

/** Numbers of looks, all the way up: a look is that of its parent and its own. They hold for the whole visit. */
function lookNumbers() {
  const numbers = new Map(kept('looks'));
  const known = new Map([[null, 0]]);
  const of = (element) => {
    if (!known.has(element)) {
      const drawn = `${of(element.parentElement)} ${look(element)}`;
      if (!numbers.has(drawn)) {
        numbers.set(drawn, numbers.size + 1);
      }
      known.set(element, numbers.get(drawn));
    }
    return known.get(element);
  };
  return { of, keep: () => keep('looks', numbers) };
}

/** One of each group of words that are drawn alike, by the number of their look: the tenth row of a table has the colours of the second. */
function alike() {
  const numbers = lookNumbers();
  const one = new Map();
  for (const element of document.body.querySelectorAll('*')) {
    const says = [...element.childNodes].some((n) => n.nodeType === Node.TEXT_NODE && n.nodeValue.trim() !== '');
    if ((says || element.placeholder) && element.checkVisibility() && !one.has(numbers.of(element))) {
      one.set(numbers.of(element), element);
    }
  }
  numbers.keep();
  return one;
}

const told = (result) =>
  result.violations.map((rule) => `${rule.id} ${rule.nodes.slice(0, 3).map((n) => `${n.html} ${n.target}`).join(', ')}`);

const accessible = () =>
  axe.run(document, { resultTypes: ['violations'], rules: { 'color-contrast': { enabled: false } } }).then(told);

/** One style sheet draws all pages: what was legible by day and by night on one of them is not looked at again on the next. */
async function legible() {
  const before = new Set(kept('legible'));
  const fresh = [...alike()].filter(([number]) => !before.has(number));
  if (fresh.length === 0) {
    return [];
  }
  const include = fresh.map(([, element]) => element);
  const wrong = [];
  for (const theme of ['DAY', 'NIGHT']) {
    document.documentElement.dataset.theme = theme;
    const run = await axe.run({ include }, { resultTypes: ['violations'], runOnly: ['color-contrast'] });
    wrong.push(...told(run).map((found) => `${theme} ${found}`));
  }
  if (wrong.length === 0) {
    keep('legible', [...before, ...fresh.map(([number]) => number)]);
  }
  return wrong;
}

window.looks = { accessible, legible };
