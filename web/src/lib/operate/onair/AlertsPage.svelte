<script lang="ts">
  import type { AlertChoice } from '../../platform/api/client';
  import SavedMark from '../../platform/shared/SavedMark.svelte';
  import { utcSecond } from '../../platform/shared/format';
  import { notificationsAllowed, tone } from './sound';
  import { OnAirStore } from './on-air.svelte';
  import { ChoicesStore } from './choices.svelte';
  import { useStore } from '../../platform/page/stores';
  import { texts } from './texts';

  const onAir = useStore(OnAirStore);
  const choices = useStore(ChoicesStore);

  const WORDS: Record<AlertChoice['kind'], string> = {
    WATCHED: texts.aCallOnTheWatch,
    NEW_ENTITY: texts.anEntityNeverWorked,
    NEW_ON_BAND: texts.newOnTheBandOr,
    OTHER_NEED: texts.anythingElseNeeded,
    US: texts.somebodyHearsUs,
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
  <section aria-label={texts.whatIsAnnounced}>
    <table class="list">
      <thead>
        <tr>
          <th>{texts.whenThereIs}</th><th>{texts.onScreen}</th><th>{texts.tone}</th><th>{texts.spoken}</th><th
            >{texts.notification}</th
          ><th>{texts.atMostAMinute}</th>
        </tr>
      </thead>
      <tbody>
        {#each alerts as alert (alert.kind)}
          <tr>
            <td>{WORDS[alert.kind]}</td>
            <td>
              <input
                type="checkbox"
                aria-label={texts.onScreenKind(WORDS[alert.kind])}
                checked={alert.shown}
                onchange={(e) => change(alert.kind, { shown: e.currentTarget.checked })}
              />
            </td>
            <td>
              <select
                aria-label={texts.toneKind(WORDS[alert.kind])}
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
                aria-label={texts.spokenKind(WORDS[alert.kind])}
                checked={alert.spoken}
                onchange={(e) => change(alert.kind, { spoken: e.currentTarget.checked })}
              />
            </td>
            <td>
              <input
                type="checkbox"
                aria-label={texts.notificationKind(WORDS[alert.kind])}
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
                aria-label={texts.kindAtMostAMinute(WORDS[alert.kind])}
                value={alert.maxPerMinute}
                onchange={(e) => change(alert.kind, { maxPerMinute: Number(e.currentTarget.value) || 1 })}
              />
            </td>
          </tr>
        {/each}
      </tbody>
    </table>
    <p class="quiet">
      {texts.noSoundFrom}
      <input
        class="hour mono"
        placeholder="22:00"
        aria-label={texts.quietFromUtc}
        value={store.chosen.quietFrom?.slice(0, 5) ?? ''}
        onchange={(e) =>
          void store.save({
            quietFrom: e.currentTarget.value || undefined,
            quietUntil: e.currentTarget.value ? (store.chosen?.quietUntil ?? '06:00') : undefined,
          })}
      />
      {texts.until}
      <input
        class="hour mono"
        placeholder="06:00"
        aria-label={texts.quietUntilUtc}
        value={store.chosen.quietUntil?.slice(0, 5) ?? ''}
        onchange={(e) =>
          void store.save({
            quietUntil: e.currentTarget.value || undefined,
            quietFrom: e.currentTarget.value ? (store.chosen?.quietFrom ?? '22:00') : undefined,
          })}
      />
      {texts.utcMoreThanTheLimit}
    </p>
    <SavedMark saved={store.savedAt > 0} problem={store.problem} />
  </section>
  <section aria-label={texts.whatWasAnnounced}>
    <h2>{texts.whatWasAnnouncedAndWhy}</h2>
    {#if store.alerts.length === 0}
      <p class="muted">
        {texts.nothingYetCallsToLook} <a href="#/on-air/goals">{texts.goals}</a>.
      </p>
    {:else}
      <table class="list">
        <tbody>
          {#each store.alerts.slice(0, 60) as alert (alert.number)}
            <tr>
              <td class="mono">{utcSecond(alert.at)}</td>
              <td class="what">{alert.sentence}</td>
              <td class="muted">{alert.because}</td>
              <td><button class="more" onclick={() => off(alert.kind)}>{texts.switchThisKindOff}</button></td>
            </tr>
          {/each}
        </tbody>
      </table>
    {/if}
  </section>
{:else if !store.problem}
  <p class="muted">{texts.readingTheAlerts}</p>
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
