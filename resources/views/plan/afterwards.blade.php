@include('plan.freeing')
@include('plan.ranges')
