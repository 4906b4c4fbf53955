import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import type { AccessState } from '../../contract/index.ts'
import { accessState } from '../api/records.ts'

/** Whether this page may change anything: a viewer's does not even keep what it works out. */
export const useRole = defineStore('role', () => {
  const role = ref<AccessState['role'] | 'unknown'>('unknown')
  void accessState().then(
    (state) => (role.value = state.role),
    () => {},
  )
  return { mayChange: computed(() => role.value !== 'unknown' && role.value !== 'viewer') }
})
