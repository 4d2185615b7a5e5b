package giostra.server.host;

import io.netty.bootstrap.Bootstrap;
import io.netty.channel.Channel;
import io.netty.channel.ChannelFutureListener;
import io.netty.channel.ChannelHandlerContext;
import io.netty.channel.ChannelInboundHandlerAdapter;
import io.netty.channel.ChannelInitializer;
import io.netty.channel.ChannelOption;
import io.netty.channel.socket.SocketChannel;
import io.netty.channel.socket.nio.NioSocketChannel;
import io.netty.handler.codec.http.DefaultFullHttpRequest;
import io.netty.handler.codec.http.HttpClientCodec;
import io.netty.handler.codec.http.HttpHeaderNames;
import io.netty.handler.codec.http.HttpHeaders;
import io.netty.handler.codec.http.HttpMethod;
import io.netty.handler.codec.http.HttpObject;
import io.netty.handler.codec.http.HttpRequest;
import io.netty.handler.codec.http.HttpResponse;
import io.netty.handler.codec.http.HttpResponseStatus;
import io.netty.handler.codec.http.HttpUtil;
import io.netty.handler.codec.http.HttpVersion;
import io.netty.handler.codec.http.LastHttpContent;
import io.netty.handler.timeout.ReadTimeoutHandler;
import io.netty.util.ReferenceCountUtil;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.Consumer;
import org.jspecify.annotations.Nullable;

/**
 * One request that is passed to the rest of the server, and its answer on its way back: no more of
 * it is read than the visitor takes.
 */
final class Passing extends ChannelInboundHandlerAdapter {
  /** Those under way; the rest of the server has a database to ask. */
  private static final int MOST = 200;

  private static final AtomicInteger UNDER_WAY = new AtomicInteger();
  private static final int CONNECTS_MS = 2_000;
  private static final int ANSWERS_SECONDS = 60;

  /** Those are of one connection and not of what is sent. Source: RFC 9110, 7.6.1. */
  private static final CharSequence[] OF_A_CONNECTION = {
    HttpHeaderNames.CONNECTION,
    "Keep-Alive",
    HttpHeaderNames.UPGRADE,
    HttpHeaderNames.TE,
    HttpHeaderNames.EXPECT
  };

  private final ChannelHandlerContext front;
  private final HttpRequest asked;
  private final int port;
  private Consumer<Boolean> done = _ -> {};
  private Runnable failed = () -> {};
  private boolean begun;

  /** Whether one sees where the answer ends while the connection stays. */
  private boolean isBounded;

  private boolean ended;
  private @Nullable Channel back;

  Passing(ChannelHandlerContext front, HttpRequest asked, int port) {
    this.front = front;
    this.asked = asked;
    this.port = port;
  }

  /**
   * Passes it.
   *
   * @param then told whether the connection of the visitor is kept
   * @param otherwise where nobody has answered
   */
  void start(Consumer<Boolean> then, Runnable otherwise) {
    done = then;
    failed = otherwise;
    if (UNDER_WAY.incrementAndGet() > MOST) {
      UNDER_WAY.decrementAndGet();
      ended = true;
      failed.run();
      return;
    }
    new Bootstrap()
        .group(front.channel().eventLoop())
        .channel(NioSocketChannel.class)
        .option(ChannelOption.CONNECT_TIMEOUT_MILLIS, CONNECTS_MS)
        .option(ChannelOption.AUTO_READ, false)
        .handler(
            new ChannelInitializer<SocketChannel>() {
              @Override
              protected void initChannel(SocketChannel channel) {
                channel
                    .pipeline()
                    .addLast(new ReadTimeoutHandler(ANSWERS_SECONDS))
                    .addLast(new HttpClientCodec())
                    .addLast(Passing.this);
              }
            })
        .connect("127.0.0.1", port)
        .addListener(
            (ChannelFutureListener)
                connected -> {
                  back = connected.channel();
                  if (connected.isSuccess()) {
                    front.channel().closeFuture().addListener(_ -> connected.channel().close());
                    ask(connected.channel());
                  } else {
                    end(false);
                  }
                });
  }

  private void ask(Channel to) {
    var request = new DefaultFullHttpRequest(asked.protocolVersion(), asked.method(), asked.uri());
    HttpHeaders headers = request.headers();
    headers.set(asked.headers());
    for (CharSequence each : OF_A_CONNECTION) {
      headers.remove(each);
    }
    headers.remove(HttpHeaderNames.TRANSFER_ENCODING);
    headers.remove(HttpHeaderNames.CONTENT_LENGTH);
    headers.set(HttpHeaderNames.CONNECTION, "close");
    to.writeAndFlush(request)
        .addListener(written -> {
          if (written.isSuccess()) {
            to.read();
          } else {
            end(false);
          }
        });
  }

  @Override
  public void channelRead(ChannelHandlerContext context, Object message) {
    if (ended || !(message instanceof HttpObject part) || part.decoderResult().isFailure()) {
      ReferenceCountUtil.release(message);
      end(false);
      return;
    }
    if (message instanceof HttpResponse response) {
      begun = true;
      for (CharSequence each : OF_A_CONNECTION) {
        response.headers().remove(each);
      }
      response.setProtocolVersion(HttpVersion.HTTP_1_1);
      isBounded =
          HttpUtil.isContentLengthSet(response)
              || HttpUtil.isTransferEncodingChunked(response)
              || response.status().equals(HttpResponseStatus.NOT_MODIFIED)
              || asked.method().equals(HttpMethod.HEAD);
      if (!isKept()) {
        response.headers().set(HttpHeaderNames.CONNECTION, "close");
      }
    }
    boolean last = message instanceof LastHttpContent;
    front
        .writeAndFlush(message)
        .addListener(written -> {
          if (!written.isSuccess()) {
            end(false);
          } else if (last) {
            end(true);
          } else {
            context.read();
          }
        });
  }

  @Override
  public void channelInactive(ChannelHandlerContext context) {
    end(false);
  }

  @Override
  public void exceptionCaught(ChannelHandlerContext context, Throwable cause) {
    end(false);
  }

  private boolean isKept() {
    return isBounded && HttpUtil.isKeepAlive(asked);
  }

  private void end(boolean whole) {
    if (ended) {
      return;
    }
    ended = true;
    UNDER_WAY.decrementAndGet();
    Channel behind = back;
    if (behind != null) {
      behind.close();
    }
    if (whole) {
      done.accept(isKept());
    } else if (begun) {
      done.accept(false);
    } else {
      failed.run();
    }
  }
}
