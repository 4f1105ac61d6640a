import { whenDeskIsClosed } from '~/following/deskDoor'

/** The desk is behind its door: looked at by app.vue. */
export const deskClosed = ref(false)

whenDeskIsClosed(() => (deskClosed.value = true))
