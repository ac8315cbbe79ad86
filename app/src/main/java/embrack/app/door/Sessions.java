package embrack.app.door;

import org.springframework.beans.factory.config.BeanPostProcessor;
import org.springframework.session.jdbc.JdbcIndexedSessionRepository;
import org.springframework.stereotype.Component;

/** Puts what touches sessions seldom before what keeps them. */
@Component
class Sessions implements BeanPostProcessor {

    @Override
    public Object postProcessAfterInitialization(Object bean, String name) {
        return bean instanceof JdbcIndexedSessionRepository sessions ? new SeldomTouched<>(sessions) : bean;
    }
}
