package embrack.paper.print;

import com.openhtmltopdf.extend.FSTextBreaker;

/** Breaks lines at blanks alone, as they are measured: no time is cut behind its colon. */
final class AtBlanks implements FSTextBreaker {

    private String text = "";
    private int at;

    @Override
    public void setText(String newText) {
        text = newText;
        at = 0;
    }

    @Override
    public int next() {
        while (at < text.length() && !Character.isWhitespace(text.charAt(at))) {
            at++;
        }
        if (at >= text.length()) {
            return -1;
        }
        while (at < text.length() && Character.isWhitespace(text.charAt(at))) {
            at++;
        }
        return at;
    }
}
