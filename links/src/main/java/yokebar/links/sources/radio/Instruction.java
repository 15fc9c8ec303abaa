package yokebar.links.sources.radio;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * How a command is given to a radio.
 *
 * @param sentences to send, in order
 * @param acknowledged whether the radio answers each sentence with taken or refused
 * @param check the question that shows what became of it, asked right after; null when no answer could show it
 */
public record Instruction(List<byte[]> sentences, boolean acknowledged, @Nullable Question check) {}
