import { defineStore } from 'pinia'
import { ref } from 'vue'
import { ShopEvent } from '../../contract/index.ts'
import { PAGE_ID } from '../api/http.ts'
import { openJobKeeper } from '../session/open-job.ts'
import { sendLeft } from '../session/send-left.ts'
import { useShop } from './shop.ts'

/** What the server tells every page: saves of others come in as they happen. */
export const useLive = defineStore('live', () => {
  const shop = useShop()
  /** Goes up with every save of any job; lists are read again by it. */
  const saves = ref(0)
  const importShare = ref<number | null>(null)
  let source: EventSource | null = null

  function listen(): void {
    // A stream that was refused at the door never opens by itself again.
    if (typeof EventSource === 'undefined' || (source && source.readyState !== EventSource.CLOSED)) return
    source = new EventSource('/api/events')
    source.onmessage = ({ data }: MessageEvent<string>) => {
      const event = ShopEvent.safeParse(JSON.parse(data))
      if (event.success) hear(event.data)
    }
    source.onopen = () => {
      void openJobKeeper().lookAgain()
      void sendLeft()
    }
  }

  function hear(event: ShopEvent): void {
    switch (event.kind) {
      case 'job':
        saves.value++
        if (event.by !== PAGE_ID) void openJobKeeper().hear(event.id, event.revision)
        return
      case 'shop':
        if (event.by !== PAGE_ID) void shop.readAgain().catch(() => undefined)
        return
      case 'cards':
        saves.value++
        return
      case 'restored':
        // Everything is another now: what stands on this page was made for what is gone.
        if (event.by !== PAGE_ID) location.reload()
        else saves.value++
        return
      case 'import':
        importShare.value = event.doneShare
        return
      default:
        return event satisfies never
    }
  }

  return { saves, importShare, listen }
})
