package giostra.server.web;

import giostra.core.value.Refused;
import java.lang.reflect.Type;
import java.util.Collection;
import org.springframework.core.MethodParameter;
import org.springframework.http.HttpInputMessage;
import org.springframework.http.converter.HttpMessageConverter;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.servlet.mvc.method.annotation.RequestBodyAdviceAdapter;

/** Every body that comes in has what its record says it has, before anybody looks at it. */
@ControllerAdvice
class RequiredBodies extends RequestBodyAdviceAdapter {
  @Override
  public boolean supports(
      MethodParameter parameter, Type target, Class<? extends HttpMessageConverter<?>> converter) {
    return true;
  }

  @Override
  public Object afterBodyRead(
      Object body,
      HttpInputMessage message,
      MethodParameter parameter,
      Type target,
      Class<? extends HttpMessageConverter<?>> converter) {
    if (body instanceof Collection<?> all) {
      int at = 0;
      for (Object each : all) {
        if (each == null) {
          throw new Refused("entry", "null", "something").at("/" + at);
        }
        Required.check(each, "/" + at++);
      }
    } else {
      Required.check(body, "");
    }
    return body;
  }
}
