<thead>
    <tr>
        <th></th>
        <th>Order</th>
        <th>Step</th>
        <th>For</th>
        <th class="n">Quantity</th>
        <th>Unit</th>
        <th>Due</th>
        <th class="n">{{ $last }}</th>
        <th></th>
    </tr>
</thead>
