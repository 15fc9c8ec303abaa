/** The present, moving once a second, for everything that shows a time or an age. */
class SecondsClock {
  now = $state(Date.now());

  constructor() {
    setInterval(() => (this.now = Date.now()), 1000);
  }

  /** `14:07:31`, UTC. */
  get utc(): string {
    return new Date(this.now).toISOString().slice(11, 19);
  }
}

export const clock = new SecondsClock();
