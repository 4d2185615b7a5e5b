package giostra.server.host;

import giostra.server.Settings;
import io.netty.bootstrap.ServerBootstrap;
import io.netty.channel.Channel;
import io.netty.channel.ChannelInitializer;
import io.netty.channel.ChannelOption;
import io.netty.channel.EventLoopGroup;
import io.netty.channel.MultiThreadIoEventLoopGroup;
import io.netty.channel.group.ChannelGroup;
import io.netty.channel.group.DefaultChannelGroup;
import io.netty.channel.nio.NioIoHandler;
import io.netty.channel.socket.SocketChannel;
import io.netty.channel.socket.nio.NioServerSocketChannel;
import io.netty.handler.codec.http.HttpServerCodec;
import io.netty.util.concurrent.GlobalEventExecutor;
import java.net.InetSocketAddress;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.function.IntSupplier;
import java.util.function.Predicate;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/**
 * Takes what visitors ask for. What waits in memory is sent from here by two threads that wait for
 * nothing; everything else is passed to the rest of the server, which is reached on this machine
 * alone. Whoever sends or reads slowly costs a little memory, and no thread.
 */
@Component
class LiveListener implements DisposableBean {
  private static final int THREADS = 2;
  private static final int LINE = 8 << 10;
  private static final int HEAD = 16 << 10;
  private static final int PART = 8 << 10;

  /** Connections at once; files that are open are a few for each. */
  private static final int MOST = 8_000;

  private final EventLoopGroup loops =
      new MultiThreadIoEventLoopGroup(THREADS, NioIoHandler.newFactory());
  private final ChannelGroup open = new DefaultChannelGroup(GlobalEventExecutor.INSTANCE);
  private final ExecutorService reading = Executors.newVirtualThreadPerTaskExecutor();
  private final Settings settings;
  private final String address;
  private int port;

  /** Takes requests as soon as it knows what is behind it; until then it asks to come again. */
  private volatile @Nullable Behind behind;

  /**
   * The rest of the server.
   *
   * @param port at which it answers what is not prepared, on this machine
   * @param isCalled whether a host that a request names is one of this server's
   */
  record Behind(IntSupplier port, Predicate<String> isCalled, @Nullable Prepared prepared) {}

  LiveListener(Settings settings, @Value("${server.address}") String address) {
    this.settings = settings;
    this.address = address;
  }

  /** Takes its port, before anybody asks which it is. */
  void open() {
    try {
      Channel bound =
          new ServerBootstrap()
              .group(loops)
              .channel(NioServerSocketChannel.class)
              .option(ChannelOption.SO_BACKLOG, 1024)
              .option(ChannelOption.SO_REUSEADDR, true)
              .childOption(ChannelOption.TCP_NODELAY, true)
              .childHandler(new Connection())
              .bind(address, settings.livePort())
              .sync()
              .channel();
      port = ((InetSocketAddress) bound.localAddress()).getPort();
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException("the port of live pages was not opened", e);
    } catch (Exception e) {
      // That of a port which is taken is not declared.
      stop();
      throw new IllegalStateException(
          "the port of live pages (GIOSTRA_LIVE_PORT="
              + settings.livePort()
              + ") cannot be opened on "
              + address
              + ": "
              + e.getMessage(),
          e);
    }
  }

  private final class Connection extends ChannelInitializer<SocketChannel> {
    @Override
    protected void initChannel(SocketChannel channel) {
      if (open.size() >= MOST) {
        channel.close();
        return;
      }
      open.add(channel);
      channel
          .pipeline()
          .addLast(new HttpServerCodec(LINE, HEAD, PART))
          .addLast(new LiveHandler(() -> behind, reading));
    }
  }

  void isBefore(Behind rest) {
    behind = rest;
  }

  int port() {
    return port;
  }

  private void stop() {
    loops.shutdownGracefully(0, 2, TimeUnit.SECONDS);
    reading.shutdownNow();
  }

  @Override
  public void destroy() {
    open.close();
    stop();
  }
}
