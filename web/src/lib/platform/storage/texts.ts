/** What this part of the page says. */
export const texts = {
  // StorageNotice
  littleRoomLeft: 'Little room left.',
  nothingIsBeingStored: 'Nothing is being stored.',
};
