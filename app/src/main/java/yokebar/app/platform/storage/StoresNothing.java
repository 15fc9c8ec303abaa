package yokebar.app.platform.storage;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/** A request that changes nothing in the log's database, such as tuning or stopping a transmission: it is served while the disk is full. */
@Target(ElementType.METHOD)
@Retention(RetentionPolicy.RUNTIME)
public @interface StoresNothing {}
