package yokebar.app.platform.storage;

import com.zaxxer.hikari.HikariDataSource;
import com.zaxxer.hikari.SQLExceptionOverride;
import java.sql.SQLException;
import java.util.Set;
import org.springframework.beans.factory.config.BeanPostProcessor;
import org.springframework.stereotype.Component;

/** Notes every error of the database, so that it need not be asked every second whether it still answers. */
@Component
class DatabaseErrors implements SQLExceptionOverride, BeanPostProcessor {
    /** SQL:2016: data that does not fit, and constraints; they say nothing of the database. */
    private static final Set<String> ABOUT_DATA = Set.of("22", "23");

    private volatile boolean reported;

    @java.lang.Override
    public Object postProcessBeforeInitialization(Object bean, String name) {
        if (bean instanceof HikariDataSource database) {
            database.setExceptionOverride(this);
        }
        return bean;
    }

    @java.lang.Override
    public SQLExceptionOverride.Override adjudicate(SQLException error) {
        String state = error.getSQLState();
        if (state == null || state.length() < 2 || !ABOUT_DATA.contains(state.substring(0, 2))) {
            reported = true;
        }
        return SQLExceptionOverride.Override.CONTINUE_EVICT;
    }

    /** Whether there was an error since the last call. */
    boolean take() {
        boolean was = reported;
        reported = false;
        return was;
    }
}
