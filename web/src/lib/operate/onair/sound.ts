const SECONDS = 0.18;
const LOUDNESS = 0.2;

let audio: AudioContext | undefined;

/** A short soft tone. */
export function tone(hz: number): void {
  audio ??= new AudioContext();
  const from = audio.currentTime;
  const oscillator = audio.createOscillator();
  const volume = audio.createGain();
  oscillator.frequency.value = hz;
  volume.gain.setValueAtTime(0, from);
  volume.gain.linearRampToValueAtTime(LOUDNESS, from + 0.02);
  volume.gain.linearRampToValueAtTime(0, from + SECONDS);
  oscillator.connect(volume).connect(audio.destination);
  oscillator.start(from);
  oscillator.stop(from + SECONDS);
}

/** Says something, calls letter by letter. */
export function speak(text: string): void {
  const spelled = text.replace(/\b[A-Z0-9/]*\d[A-Z0-9/]*[A-Z]\b/g, (call) => call.split('').join(' '));
  speechSynthesis.speak(new SpeechSynthesisUtterance(spelled));
}

/** Asks the person, once, whether the browser may show notifications. */
export async function notificationsAllowed(): Promise<boolean> {
  if (!('Notification' in window)) {
    return false;
  }
  return Notification.permission === 'granted' || (await Notification.requestPermission()) === 'granted';
}

/** Shows one outside of the page, if that is allowed. */
export function notify(text: string): void {
  if ('Notification' in window && Notification.permission === 'granted') {
    new Notification('Yokebar', { body: text, silent: true });
  }
}
