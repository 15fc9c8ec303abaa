/** What this part of the page says. */
export const texts = {
  // client
  yokebarCouldNotDoThat: 'Yokebar could not do that.',
  yokebarDoesNotAnswerIs: 'Yokebar does not answer. Is it running?',
};
