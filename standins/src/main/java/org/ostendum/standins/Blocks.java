package org.ostendum.standins;

import com.digitalpetri.modbus.ExceptionCode;
import com.digitalpetri.modbus.FunctionCode;
import com.digitalpetri.modbus.exceptions.ModbusResponseException;
import com.digitalpetri.modbus.pdu.ReadInputRegistersRequest;
import com.digitalpetri.modbus.pdu.ReadInputRegistersResponse;
import com.digitalpetri.modbus.pdu.WriteMultipleRegistersRequest;
import com.digitalpetri.modbus.pdu.WriteMultipleRegistersResponse;
import com.digitalpetri.modbus.server.ModbusRequestContext;
import com.digitalpetri.modbus.server.ModbusServices;
import java.util.Arrays;
import org.ostendum.core.device.Address;
import org.ostendum.core.device.HandOrder;
import org.ostendum.core.device.RegisterBytes;

/** Which block lies at which address: input registers to read, one block of holding registers for what hands do. */
final class Blocks implements ModbusServices {
    private final SimulatedRoom room;
    private final Registers registers;
    private final Mischief mischief;
    private final HydrometerMemory hydrometer;

    Blocks(SimulatedRoom room, Mischief mischief, HydrometerMemory hydrometer) {
        this.registers = new Registers(room);
        this.room = room;
        this.mischief = mischief;
        this.hydrometer = hydrometer;
    }

    @Override
    public ReadInputRegistersResponse readInputRegisters(
            ModbusRequestContext context, int unit, ReadInputRegistersRequest request) throws ModbusResponseException {
        int[] block = registers
                .read(new Address(unit, request.address()))
                .orElseThrow(() -> new ModbusResponseException(
                        FunctionCode.READ_INPUT_REGISTERS, ExceptionCode.ILLEGAL_DATA_ADDRESS));
        int[] asked = Arrays.copyOf(block, request.quantity());
        return new ReadInputRegistersResponse(RegisterBytes.of(mischief.spoil(asked)));
    }

    @Override
    public WriteMultipleRegistersResponse writeMultipleRegisters(
            ModbusRequestContext context, int unit, WriteMultipleRegistersRequest request)
            throws ModbusResponseException {
        int[] words = RegisterBytes.registers(request.values());
        if (!registers.write(new Address(unit, request.address()), words)) {
            throw new ModbusResponseException(FunctionCode.WRITE_MULTIPLE_REGISTERS, ExceptionCode.ILLEGAL_DATA_VALUE);
        }
        HandOrder.of(words)
                .filter(order -> order.act() == HandOrder.Act.MEASURE)
                .ifPresent(order ->
                        room.battery(order.tag()).ifPresent(battery -> hydrometer.measure(order.tag(), battery)));
        return new WriteMultipleRegistersResponse(request.address(), request.quantity());
    }
}
