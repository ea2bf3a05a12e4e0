<thead>
    <tr>
        <th class="narrow"></th>
        <th>Order</th>
        <th>Step</th>
        <th>For</th>
        <th class="n middle">Quantity</th>
        <th class="narrow">Unit</th>
        <th class="middle">Due</th>
        <th class="n middle">{{ $last }}</th>
        <th class="middle"></th>
    </tr>
</thead>
