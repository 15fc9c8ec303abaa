<script lang="ts">
  import RadioPanel from '../../sources/radio/RadioPanel.svelte';
  import RotorPanel from '../../sources/rotor/RotorPanel.svelte';
  import PartnerCard from '../partner/PartnerCard.svelte';
  import Shortlist from '../onair/Shortlist.svelte';
  import LatestContacts from './LatestContacts.svelte';
  import { texts } from './texts';
</script>

<section class="view desk" aria-label={texts.desk}>
  <h1 class="visually-hidden">{texts.desk}</h1>
  <div class="needed"><Shortlist /></div>
  <div class="left">
    <PartnerCard />
    <LatestContacts />
  </div>
  <div class="right">
    <RadioPanel />
    <RotorPanel />
  </div>
</section>

<style>
  .desk {
    display: grid;
    grid-template-columns: 224px minmax(0, 1fr) 400px;
    gap: 20px;
  }

  .left {
    container: card / inline-size;
    display: flex;
    flex-direction: column;
    gap: 16px;
  }

  .right {
    display: flex;
    flex-direction: column;
    gap: 24px;
    padding-left: 20px;
    border-left: 1px solid var(--yb-line);
  }

  @container (max-width: 1000px) {
    .desk {
      grid-template-columns: 1fr;
      align-content: start;
    }

    .needed {
      order: 1;
    }

    .right {
      display: grid;
      grid-template-columns: repeat(auto-fit, minmax(min(340px, 100%), 1fr));
      order: -1;
      padding-left: 0;
      border-left: 0;
    }
  }
</style>
