<script lang="ts">
  import { useStore } from '../../../platform/page/stores';
  import SavingInput from '../../../platform/shared/SavingInput.svelte';
  import AccountFields from '../account/AccountFields.svelte';
  import { BoardStore } from './board.svelte';
  import { texts } from './texts';

  const store = useStore(BoardStore);
  const view = $derived(store.view);
  const hint = $derived(
    view ? `${texts.atMostEvery(view.allowedEverySeconds)}. ${texts.theClubIsInTheHeader}` : '',
  );
</script>

{#if view}
  <AccountFields {store} label={texts.setUpTheScoreboard} name={texts.thisScoreboard} {hint}>
    <SavingInput
      label={texts.team}
      placeholder={texts.none}
      value={view.team}
      saved={store.saving.saved('team')}
      fault={store.saving.fault('team', 'team')}
      onsave={(team) => store.save('team', { team })}
    />
    <SavingInput
      label={texts.everyMinutes}
      value={String(view.everyMinutes)}
      saved={store.saving.saved('everyMinutes')}
      fault={store.saving.fault('everyMinutes', 'everyMinutes')}
      onsave={(minutes) => store.save('everyMinutes', { everyMinutes: Number(minutes) || 0 })}
    />
  </AccountFields>
{/if}
