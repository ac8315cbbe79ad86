package embrack.app.frame;

import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.web.error.ErrorAttributeOptions;
import org.springframework.boot.webmvc.error.DefaultErrorAttributes;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.context.request.WebRequest;

/** Gives faults that no controller could catch, such as those of a template, a number that stands in the log too. */
@Component
class FaultAttributes extends DefaultErrorAttributes {

    private static final Logger LOG = LoggerFactory.getLogger(FaultAttributes.class);

    @Override
    public Map<String, @Nullable Object> getErrorAttributes(WebRequest request, ErrorAttributeOptions options) {
        Map<String, @Nullable Object> attributes = super.getErrorAttributes(request, options);
        if (Integer.valueOf(HttpStatus.INTERNAL_SERVER_ERROR.value()).equals(attributes.get("status"))) {
            String number = FaultNumber.next();
            LOG.error("fault {}: {}", number, attributes.get("path"), getError(request));
            attributes.put("number", number);
        }
        return attributes;
    }
}
