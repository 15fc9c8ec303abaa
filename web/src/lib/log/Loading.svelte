<script lang="ts">
  import { api, got } from '../platform/api/client';
  import { grouped } from '../platform/shared/format';
  import { texts } from './texts';

  const EVERY_MS = 400;
  let loaded = $state(0);
  let total = $state(0);

  $effect(() => {
    const timer = setInterval(() => void read(), EVERY_MS);
    return () => clearInterval(timer);
  });

  async function read() {
    try {
      const index = await got(api.GET('/api/log/index'));
      loaded = index.loaded;
      total = index.total;
    } catch {
      // The page says that the server does not answer.
    }
  }
</script>

<!-- Seen only after a start without a kept index: a long log takes some seconds to be read. -->
<p class="state muted" role="status">
  {texts.readingTheLog(total > 0 ? texts.ofContactsLoaded(grouped(loaded), grouped(total)) : '…')}
</p>

<style>
  .state {
    padding: 32px 24px;
  }
</style>
