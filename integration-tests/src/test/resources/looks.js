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

/** One of each group of words that are drawn alike, all the way up: the tenth row of a table has the colours of the second. */
function alike() {
  const looks = new Map([[document.documentElement, '']]);
  const lookOf = (element) => {
    if (!looks.has(element)) {
      looks.set(element, `${lookOf(element.parentElement)} > ${look(element)}`);
    }
    return looks.get(element);
  };
  const one = new Map();
  for (const element of document.body.querySelectorAll('*')) {
    const says = [...element.childNodes].some((n) => n.nodeType === Node.TEXT_NODE && n.nodeValue.trim() !== '');
    if ((says || element.placeholder) && element.checkVisibility() && !one.has(lookOf(element))) {
      one.set(lookOf(element), element);
    }
  }
  return [...one.values()];
}

const told = (result) =>
  result.violations.map((rule) => `${rule.id} ${rule.nodes.slice(0, 3).map((n) => `${n.html} ${n.target}`).join(', ')}`);

const accessible = () =>
  axe.run(document, { resultTypes: ['violations'], rules: { 'color-contrast': { enabled: false } } }).then(told);

function legible(theme) {
  document.documentElement.dataset.theme = theme;
  return axe.run({ include: alike() }, { resultTypes: ['violations'], runOnly: ['color-contrast'] }).then(told);
}

window.looks = { accessible, legible, alike };
