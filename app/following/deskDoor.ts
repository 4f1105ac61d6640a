import { ref } from 'vue'

/** The server asks for the passphrase: set by whatever was refused, looked at by app.vue. */
export const deskClosed = ref(false)
