/**
 * A moment as a list shows it: the time of today, the day of this year, else the day with its year. `at`: milliseconds,
 * UTC.
 */
export function dayOf(at: number): string {
  const [date, now] = [new Date(at), new Date()];
  if (date.toDateString() === now.toDateString())
    return `today ${date.toLocaleTimeString([], { hour: '2-digit', minute: '2-digit', hour12: false })}`;
  return date.toLocaleDateString([], {
    day: 'numeric',
    month: 'short',
    ...(date.getFullYear() !== now.getFullYear() && { year: 'numeric' }),
  });
}
