<script lang="ts">
  import type { AlertChoice } from '../../platform/api/client';
  import SavedMark from '../../platform/shared/SavedMark.svelte';
  import { utcSecond } from '../../platform/shared/format';
  import { notificationsAllowed, tone } from './sound';
  import { OnAirStore } from './on-air.svelte';
  import { ChoicesStore } from './choices.svelte';
  import { useStore } from '../../platform/page/stores';

  const onAir = useStore(OnAirStore);
  const choices = useStore(ChoicesStore);

  const WORDS: Record<AlertChoice['kind'], string> = {
    WATCHED: 'A call on the watch list',
    NEW_ENTITY: 'An entity never worked',
    NEW_ON_BAND: 'New on the band or in the mode',
    OTHER_NEED: 'Anything else needed',
    US: 'Somebody hears us',
  };
  const TONES = [
    { hz: undefined, name: 'silent' },
    { hz: 440, name: 'low tone' },
    { hz: 660, name: 'middle tone' },
    { hz: 880, name: 'high tone' },
  ];

  const store = $derived(choices);
  const alerts = $derived(store.chosen?.alerts ?? []);

  $effect(() => {
    void store.load();
    void store.loadAlerts();
  });
  $effect(() => {
    void onAir.announced;
    void store.loadAlerts();
  });

  const change = (kind: AlertChoice['kind'], more: Partial<AlertChoice>) =>
    void store.save({ alerts: alerts.map((one) => (one.kind === kind ? { ...one, ...more } : one)) });

  async function notify(kind: AlertChoice['kind'], wanted: boolean) {
    change(kind, { notified: wanted && (await notificationsAllowed()) });
  }

  const off = (kind: string) =>
    change(kind as AlertChoice['kind'], { shown: false, tone: undefined, spoken: false, notified: false });
</script>

{#if store.problem && !store.chosen}<p class="trouble" role="alert">{store.problem}</p>{/if}
{#if store.chosen}
  <section aria-label="What is announced">
    <table class="list">
      <thead>
        <tr>
          <th>When there is</th><th>On screen</th><th>Tone</th><th>Spoken</th><th>Notification</th><th
            >At most a minute</th
          >
        </tr>
      </thead>
      <tbody>
        {#each alerts as alert (alert.kind)}
          <tr>
            <td>{WORDS[alert.kind]}</td>
            <td>
              <input
                type="checkbox"
                aria-label={`${WORDS[alert.kind]}: on screen`}
                checked={alert.shown}
                onchange={(e) => change(alert.kind, { shown: e.currentTarget.checked })}
              />
            </td>
            <td>
              <select
                aria-label={`${WORDS[alert.kind]}: tone`}
                value={String(alert.tone ?? '')}
                onchange={(e) => {
                  const hz = e.currentTarget.value === '' ? undefined : Number(e.currentTarget.value);
                  if (hz) tone(hz);
                  change(alert.kind, { tone: hz });
                }}
              >
                {#each TONES as one (one.name)}<option value={String(one.hz ?? '')}>{one.name}</option>{/each}
              </select>
            </td>
            <td>
              <input
                type="checkbox"
                aria-label={`${WORDS[alert.kind]}: spoken`}
                checked={alert.spoken}
                onchange={(e) => change(alert.kind, { spoken: e.currentTarget.checked })}
              />
            </td>
            <td>
              <input
                type="checkbox"
                aria-label={`${WORDS[alert.kind]}: notification`}
                checked={alert.notified}
                onchange={(e) => void notify(alert.kind, e.currentTarget.checked)}
              />
            </td>
            <td>
              <input
                class="few"
                type="number"
                min="1"
                max="60"
                aria-label={`${WORDS[alert.kind]}: at most a minute`}
                value={alert.maxPerMinute}
                onchange={(e) => change(alert.kind, { maxPerMinute: Number(e.currentTarget.value) || 1 })}
              />
            </td>
          </tr>
        {/each}
      </tbody>
    </table>
    <p class="quiet">
      No sound from
      <input
        class="hour mono"
        placeholder="22:00"
        aria-label="Quiet from, UTC"
        value={store.chosen.quietFrom?.slice(0, 5) ?? ''}
        onchange={(e) =>
          void store.save({
            quietFrom: e.currentTarget.value || undefined,
            quietUntil: e.currentTarget.value ? (store.chosen?.quietUntil ?? '06:00') : undefined,
          })}
      />
      until
      <input
        class="hour mono"
        placeholder="06:00"
        aria-label="Quiet until, UTC"
        value={store.chosen.quietUntil?.slice(0, 5) ?? ''}
        onchange={(e) =>
          void store.save({
            quietUntil: e.currentTarget.value || undefined,
            quietFrom: e.currentTarget.value ? (store.chosen?.quietFrom ?? '22:00') : undefined,
          })}
      />
      UTC. More than the limit are announced together in one sentence.
    </p>
    <SavedMark saved={store.savedAt > 0} problem={store.problem} />
  </section>
  <section aria-label="What was announced">
    <h2>What was announced, and why</h2>
    {#if store.alerts.length === 0}
      <p class="muted">
        Nothing yet. Calls to look out for are set under <a href="#/on-air/goals">Goals</a>.
      </p>
    {:else}
      <table class="list">
        <tbody>
          {#each store.alerts.slice(0, 60) as alert (alert.number)}
            <tr>
              <td class="mono">{utcSecond(alert.at)}</td>
              <td class="what">{alert.sentence}</td>
              <td class="muted">{alert.because}</td>
              <td><button class="more" onclick={() => off(alert.kind)}>Switch this kind off</button></td>
            </tr>
          {/each}
        </tbody>
      </table>
    {/if}
  </section>
{:else if !store.problem}
  <p class="muted">Reading the alerts…</p>
{/if}

<style>
  td {
    height: 34px;
  }

  .what {
    max-width: 560px;
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }

  .quiet {
    display: flex;
    flex-wrap: wrap;
    gap: 8px;
    align-items: center;
    margin: 12px 0 24px;
  }

  select,
  .hour,
  .few {
    height: 28px;
    padding: 0 8px;
    border: 1px solid var(--yb-line-strong);
    border-radius: 2px;
    background: var(--yb-ground);
    color: var(--yb-ink);
    font: inherit;
  }

  .hour {
    width: 72px;
  }

  .few {
    width: 64px;
  }

  .more {
    white-space: nowrap;
  }
</style>
