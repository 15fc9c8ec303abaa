<script lang="ts">
  import { api, got } from '../platform/api/client';
  import { grouped } from '../platform/shared/format';

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
  Reading the log{total > 0 ? `: ${grouped(loaded)} of ${grouped(total)} contacts` : '…'}
</p>

<style>
  .state {
    padding: 32px 24px;
  }
</style>
