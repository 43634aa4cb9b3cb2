package org.ostendum.app.device;

import com.digitalpetri.modbus.client.ModbusTcpClient;
import com.digitalpetri.modbus.exceptions.ModbusExecutionException;
import com.digitalpetri.modbus.exceptions.ModbusResponseException;
import com.digitalpetri.modbus.pdu.ReadInputRegistersRequest;
import com.digitalpetri.modbus.pdu.WriteMultipleRegistersRequest;
import com.digitalpetri.modbus.tcp.Netty;
import com.digitalpetri.modbus.tcp.client.NettyTcpClientTransport;
import jakarta.annotation.PreDestroy;
import java.time.Duration;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionStage;
import java.util.concurrent.ConcurrentHashMap;
import org.ostendum.core.device.Address;
import org.ostendum.core.device.RegisterBytes;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/** Modbus/TCP: one connection for each line, taken up again by itself after it broke. */
@Component
class ModbusWire implements Wire {
    private static final Logger LOG = LoggerFactory.getLogger(ModbusWire.class);
    private static final Duration ANSWER_WITHIN = Duration.ofSeconds(3);
    private static final int MOST_SECONDS_BETWEEN_TRIES = 4;

    private final Map<String, ModbusTcpClient> clients = new ConcurrentHashMap<>();

    @Override
    public CompletionStage<int[]> read(String host, int port, Address address, int words) {
        return client(host, port)
                .readInputRegistersAsync(address.unit(), new ReadInputRegistersRequest(address.register(), words))
                .thenApply(answer -> RegisterBytes.registers(answer.registers()))
                .exceptionallyCompose(failure -> CompletableFuture.failedFuture(
                        failure.getCause() instanceof ModbusResponseException
                                        || failure instanceof ModbusResponseException
                                ? new Refused(failure)
                                : failure));
    }

    @Override
    public CompletionStage<Void> write(String host, int port, Address address, int[] words) {
        return client(host, port)
                .writeMultipleRegistersAsync(
                        address.unit(),
                        new WriteMultipleRegistersRequest(address.register(), words.length, RegisterBytes.of(words)))
                .thenAccept(answer -> {});
    }

    private ModbusTcpClient client(String host, int port) {
        return clients.computeIfAbsent(host + ":" + port, line -> connected(host, port));
    }

    private static ModbusTcpClient connected(String host, int port) {
        ModbusTcpClient client = ModbusTcpClient.create(
                NettyTcpClientTransport.create(config -> {
                    config.setHostname(host);
                    config.setPort(port);
                    config.setConnectTimeout(ANSWER_WITHIN);
                    config.setChannelFsmCustomizer(fsm -> fsm.setMaxReconnectDelaySeconds(MOST_SECONDS_BETWEEN_TRIES));
                }),
                config -> config.setRequestTimeout(ANSWER_WITHIN));
        client.connectAsync().whenComplete((done, failure) -> {
            if (failure != null) {
                LOG.info("Nothing answers at {}:{} yet", host, port);
            }
        });
        return client;
    }

    @PreDestroy
    void close() {
        for (ModbusTcpClient client : clients.values()) {
            try {
                client.disconnect();
            } catch (ModbusExecutionException e) {
                LOG.debug("A line was broken already", e);
            }
        }
        Netty.releaseSharedResources();
    }
}
