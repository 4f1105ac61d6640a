let listener = () => {}

/** The server asks for the passphrase: told to whoever shows the door, by whatever was refused. */
export function whenDeskIsClosed(told: () => void): void {
  listener = told
}

export function deskIsClosed(): void {
  listener()
}
