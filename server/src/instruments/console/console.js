const distance = document.querySelector('#distance');
const problem = document.querySelector('#problem');
const display = document.querySelector('#display');
const shots = document.querySelector('#shots');

function show(shot) {
  const words = shot.metres === null ? 'no return: aim again' : `${shot.metres.toFixed(4)} m`;
  display.textContent = shot.metres === null ? 'Err 1' : words;
  const line = document.createElement('li');
  line.value = shot.id;
  line.textContent = words;
  line.className = shot.metres === null ? 'bad' : '';
  shots.prepend(line);
  while (shots.children.length > 20) shots.lastElementChild.remove();
}

document.querySelector('#aim').addEventListener('submit', async (event) => {
  event.preventDefault();
  problem.textContent = '';
  try {
    const response = await fetch('../laser/shots', {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify({ distance: Number(distance.value.replace(',', '.')) }),
    });
    const answer = await response.json();
    if (!response.ok) problem.textContent = answer.problem;
  } catch {
    problem.textContent = 'The meter does not answer: is the server still running?';
  }
  distance.select();
});

new EventSource('../laser/events').addEventListener('shot', (event) => show(JSON.parse(event.data)));
