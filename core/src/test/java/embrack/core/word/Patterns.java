package embrack.core.word;

import com.ibm.icu.text.MessagePattern;
import com.ibm.icu.text.MessagePattern.Part;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/** Looks into patterns, for the tests of words. */
public final class Patterns {

    private Patterns() {}

    /** The facts that a pattern asks for. */
    public static Set<String> arguments(String text) {
        var pattern = new MessagePattern(text);
        return IntStream.range(0, pattern.countParts())
                .mapToObj(pattern::getPart)
                .filter(part -> part.getType() == Part.Type.ARG_NAME)
                .map(part -> pattern.getSubstring(part).replace('_', '-'))
                .collect(Collectors.toSet());
    }
}
