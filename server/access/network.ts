/**
 * What scripts/start.mjs offers to the built server: listening on the school's network besides this computer. Without it (in
 * development) class mode works on this computer only.
 */
export interface Network {
  port: number
  open(): void
  close(): void
  /** IPv4 addresses of this computer that stations can reach now. */
  addresses(): string[]
}

export function network(): Network | undefined {
  return (globalThis as { jollyBeakerNetwork?: Network }).jollyBeakerNetwork
}
