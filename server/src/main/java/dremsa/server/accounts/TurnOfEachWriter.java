package dremsa.server.accounts;

import java.lang.reflect.Method;
import java.util.Arrays;
import java.util.Set;
import java.util.UUID;
import org.aopalliance.intercept.MethodInterceptor;
import org.aopalliance.intercept.MethodInvocation;
import org.springframework.aop.Advisor;
import org.springframework.aop.ProxyMethodInvocation;
import org.springframework.aop.support.DefaultPointcutAdvisor;
import org.springframework.aop.support.StaticMethodMatcherPointcut;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.beans.factory.config.BeanDefinition;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.context.annotation.Role;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.AnnotatedElementUtils;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestMethod;
import org.springframework.web.bind.annotation.RestController;

/**
 * Puts every writing request of a member into its household's turn, so that no controller can
 * forget it. It lies around the transactions of the application, which join the turn's.
 */
@Configuration(proxyBeanMethods = false)
@Role(BeanDefinition.ROLE_INFRASTRUCTURE)
class TurnOfEachWriter {
  private static final Set<RequestMethod> WRITING =
      Set.of(RequestMethod.POST, RequestMethod.PUT, RequestMethod.PATCH, RequestMethod.DELETE);

  @Bean
  @Role(BeanDefinition.ROLE_INFRASTRUCTURE)
  static Advisor turnAdvisor(ObjectProvider<Turns> turns) {
    DefaultPointcutAdvisor advisor = new DefaultPointcutAdvisor(new Writers(), inTurn(turns));
    advisor.setOrder(Ordered.HIGHEST_PRECEDENCE);
    return advisor;
  }

  private static MethodInterceptor inTurn(ObjectProvider<Turns> turns) {
    return call ->
        turns
            .getObject()
            .take(
                household(call),
                () -> {
                  try {
                    // A copy, as a turn may be taken again.
                    return ((ProxyMethodInvocation) call).invocableClone().proceed();
                  } catch (RuntimeException | Error e) {
                    throw e;
                  } catch (Throwable e) {
                    throw new IllegalStateException(e);
                  }
                });
  }

  private static UUID household(MethodInvocation call) {
    return Arrays.stream(call.getArguments())
        .filter(Member.class::isInstance)
        .map(member -> ((Member) member).household())
        .findFirst()
        .orElseThrow(() -> new IllegalStateException("nobody is signed in"));
  }

  private static final class Writers extends StaticMethodMatcherPointcut {
    Writers() {
      setClassFilter(type -> AnnotatedElementUtils.hasAnnotation(type, RestController.class));
    }

    @Override
    public boolean matches(Method method, Class<?> type) {
      RequestMapping mapping =
          AnnotatedElementUtils.findMergedAnnotation(method, RequestMapping.class);
      return mapping != null
          && Arrays.stream(mapping.method()).anyMatch(WRITING::contains)
          && Arrays.asList(method.getParameterTypes()).contains(Member.class)
          && !AnnotatedElementUtils.hasAnnotation(method, WithoutTurn.class);
    }
  }
}
