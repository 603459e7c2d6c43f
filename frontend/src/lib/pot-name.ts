/** What a cooker is called where there is little room: its nickname, or else its size. */
export function nickname(potName: string): string {
  return potName.split(", ")[0] ?? potName;
}
