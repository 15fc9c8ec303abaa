/** Whether an address is a serial port's rather than host and port. */
export function isSerial(address: string): boolean {
  return /^(\/|com\d)/i.test(address.trim());
}
