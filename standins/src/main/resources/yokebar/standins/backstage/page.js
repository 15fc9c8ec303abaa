const EVERY_MS = 2000;
const said = document.querySelector('output');

function made(name, more = {}, ...parts) {
  const element = Object.assign(document.createElement(name), more);
  element.append(...parts);
  return element;
}

/** What a knob answered, in words; lists such as letters are shown line by line. */
function words(answer, ok) {
  if (!ok) return answer.words ?? 'It could not be done.';
  const lists = Object.entries(answer).filter(([name, value]) => name !== 'done' && value !== true);
  return lists.length === 0 ? 'Done.' : lists.map(([, value]) => text(value)).join('\n');
}

function text(value, unit = '') {
  if (value === true) return 'yes';
  if (value === false) return 'no';
  if (Array.isArray(value)) return value.length === 0 ? 'none' : value.map((one) => text(one)).join('\n');
  if (value !== null && typeof value === 'object') return Object.values(value).map((one) => text(one)).join('  ');
  const number = typeof value === 'number' && value >= 10000 ? value.toLocaleString('en').replaceAll(',', ' ') : value;
  return unit ? `${number}${unit.startsWith('°') ? '' : ' '}${unit}` : String(number);
}

async function turn(panel, knob, path, body) {
  const answer = await fetch(`/api/${panel.id}/${path}`, { method: 'POST', body: JSON.stringify(body) });
  said.textContent = `${panel.name} · ${knob.name}: ${words(await answer.json(), answer.ok)}`;
  await refresh();
}

function knobRow(panel, knob, state) {
  const row = made(knob.inputs ? 'form' : 'div', { className: 'knob' });
  const id = `${panel.id}-${knob.post ?? knob.buttons[0].post}-${knob.name}`.replaceAll(/\W+/g, '-');
  const controls = made('span', { className: 'turn' });
  (knob.inputs ?? []).forEach((input, index) => {
    const field = made('input', {
      id: index === 0 ? id : '',
      name: input.name,
      value: input.value ?? (input.from ? state[panel.id][input.from] : ''),
      placeholder: input.hint ?? '',
    });
    if (index > 0) field.setAttribute('aria-label', input.label);
    field.title = input.label ?? knob.name;
    controls.append(field);
  });
  if (knob.inputs) {
    controls.append(made('button', { textContent: knob.button }));
    row.addEventListener('submit', (event) => {
      event.preventDefault();
      const filled = [...new FormData(row)].filter(([, value]) => value !== '');
      turn(panel, knob, knob.post, Object.fromEntries(filled));
    });
  }
  for (const button of knob.buttons ?? []) {
    controls.append(
      made('button', {
        type: 'button',
        textContent: button.label,
        onclick: () => turn(panel, knob, button.post, button.body ?? {}),
      }),
    );
  }
  const name = knob.inputs?.length ? made('label', { htmlFor: id }) : made('span');
  name.textContent = knob.name;
  row.append(name, controls, made('span', { className: 'effect', textContent: knob.effect }));
  return row;
}

const panels = fetch('panels.json').then((answer) => answer.json());

async function draw() {
  const { groups, templates } = await panels;
  const state = await (await fetch('/api/state')).json();
  for (const group of groups) {
    const id = group.name.toLowerCase();
    document.querySelector('nav').append(made('a', { href: `#${id}`, textContent: group.name }));
    const grid = made('div', { className: 'group' });
    for (const panel of group.panels) {
      const knobs = [...(panel.knobs ?? []), ...(panel.templates ?? []).flatMap((name) => templates[name])];
      grid.append(
        made(
          'section',
          { className: 'panel', ariaLabel: panel.name },
          made('h3', { textContent: panel.name }),
          made('p', { textContent: panel.what }),
          made('dl', { id: panel.id }),
          ...(panel.picture ? [made('img', { id: `${panel.id}-picture`, alt: panel.picture.alt, hidden: true })] : []),
          ...knobs.map((knob) => knobRow(panel, knob, state)),
        ),
      );
    }
    document.querySelector('main').append(made('h2', { id, textContent: group.name }), grid);
  }
  await refresh();
  // What the address names has been drawn only now.
  document.getElementById(location.hash.slice(1))?.scrollIntoView();
  setInterval(refresh, EVERY_MS);
}

/** Shows a picture that the panel offers once there is one, and anew when there is another. */
function showPicture({ id, picture }, state) {
  if (!picture || state[picture.count] === 0) return;
  const image = document.getElementById(`${id}-picture`);
  const address = `/api/${id}/${picture.from}?${state[picture.count]}`;
  if (image.getAttribute('src') !== address) image.src = address;
  image.hidden = false;
}

async function refresh() {
  const { groups, values } = await panels;
  const state = await (await fetch('/api/state')).json();
  for (const panel of groups.flatMap((group) => group.panels)) {
    const named = { ...values, ...panel.values };
    showPicture(panel, state[panel.id]);
    document.getElementById(panel.id).replaceChildren(
      ...Object.entries(state[panel.id]).flatMap(([name, value]) => {
        const [label, unit] = named[name] ?? [name];
        return [made('dt', { textContent: label }), made('dd', { className: Array.isArray(value) ? 'lines' : '', textContent: text(value, unit) })];
      }),
    );
  }
}

draw();
