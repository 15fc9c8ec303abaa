/**
 * The answer to a change may be older than what the event stream told meanwhile: what a device reported is kept where the
 * answer does not have it yet.
 */
export function withReports<T extends { id: number }>(answer: T[], known: T[], reports: (keyof T)[]): T[] {
  return answer.map((device) => {
    const before = known.find((k) => k.id === device.id);
    const kept: Partial<T> = {};
    for (const field of reports) {
      if (device[field] === undefined && before?.[field] !== undefined) {
        kept[field] = before[field];
      }
    }
    return { ...device, ...kept };
  });
}
